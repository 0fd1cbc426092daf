import fs from 'node:fs/promises';
import path from 'node:path';
import { cutTo } from '#core/language';
import { Refusal } from '../http';

/** So large a file is no dictionary: the largest of the usual ones have a tenth of it. */
const MOST_BYTES = 40_000_000;

const nothingThere = (error: unknown) =>
  ['ENOENT', 'ENOTDIR'].includes((error as NodeJS.ErrnoException).code!);

/** The languages (BCP 47) that a folder has a dictionary for in hunspell's format, and the names of its files: `cy_GB.aff` with `cy_GB.dic`. */
export async function dictionariesIn(folder: string): Promise<Map<string, string>> {
  const names = await fs.readdir(folder).catch((error: unknown): string[] => {
    if (nothingThere(error)) return [];
    throw error;
  });
  const found = new Map<string, string>();
  for (const name of names.sort()) {
    const { name: base, ext } = path.parse(name);
    const tag = base.replaceAll('_', '-');
    if (ext !== '.aff' || !names.includes(`${base}.dic`) || !/^[a-z]{2,3}(-[a-z0-9]{2,8})*$/i.test(tag))
      continue;
    found.set(tag, base);
  }
  return found;
}

/** The words of a file in the character set that its rules name; a Refusal where there is no such set. */
function decoded(bytes: Buffer, set: string): string {
  try {
    return new TextDecoder(set).decode(bytes);
  } catch {
    throw new Refusal(
      'not-valid',
      `The dictionary says that it is written in “${cutTo(set, 40)}”, which cannot be read.`,
    );
  }
}

async function read(place: string): Promise<Buffer> {
  const { size } = await fs.stat(place);
  if (size > MOST_BYTES)
    throw new Refusal(
      'not-valid',
      `${path.basename(place)} is larger than ${MOST_BYTES / 1_000_000} MB, and is not read.`,
    );
  return fs.readFile(place);
}

/** The rules and the words of a dictionary, whatever character set they are written in. */
export async function readDictionary(
  folder: string,
  base: string,
): Promise<{ rules: string; words: string }> {
  const [rules, words] = await Promise.all(
    ['aff', 'dic'].map((ext) => read(path.join(folder, `${base}.${ext}`))),
  );
  // The set is named in letters that all sets share.
  const named = /^SET[ \t]+(\S+)/m.exec(rules!.toString('latin1'))?.[1] ?? 'ISO8859-1';
  const set = named.replace(/^ISO8859-/i, 'ISO-8859-').replace(/^microsoft-cp/i, 'windows-');
  return { rules: decoded(rules!, set), words: decoded(words!, set) };
}
