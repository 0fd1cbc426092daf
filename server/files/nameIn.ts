import type { Request } from 'express';
import { MOST_NAME } from '#contracts';
import { cutTo } from '#core/language';
import { mustBeStorable, Refusal } from '../http';

/** What a file is called: without the folders it lay in and without signs that no name has. Throws where nothing is left. */
export function nameIn(request: Request): string {
  let name: string;
  try {
    name = decodeURIComponent(request.get('Elderleaf-Name') ?? '');
  } catch {
    throw new Refusal('bad-request', 'Elderleaf-Name must be the name of the file, percent-encoded.');
  }
  mustBeStorable(name);
  const last = name.split(/[\\/]/).at(-1)!;
  const plain = cutTo(last.replace(/\p{C}+/gu, ' ').trim(), MOST_NAME);
  if (plain === '') throw new Refusal('not-valid', 'Say what the file is called. It was not saved.');
  return plain;
}
