import { BLANK_FORMS, type BlankForm } from '#core/passage';

/** A piece of words that may hold blanks: words as they are, or a field with the form it is written in. */
export type NestedPiece = { words: string } | { field: string; form: BlankForm };

const BLANK = /\{([^{}|]{1,60})(?:\|([a-z0-9 -]{1,20}))?\}/g;
const isForm = (form: string): form is BlankForm => (BLANK_FORMS as readonly string[]).includes(form);

// Words do not change once they are written, and are asked for at every answer.
const read = new Map<string, readonly NestedPiece[]>();
const MOST_KEPT = 2000;

/**
 * Words of an option or an alternate cut at their blanks, written `{Name of the field}` or `{Name|form}`. Braces
 * around anything else are words like others.
 */
export function nestedBlanks(words: string): readonly NestedPiece[] {
  if (!words.includes('{')) return [{ words }];
  const kept = read.get(words);
  if (kept) return kept;
  const pieces: NestedPiece[] = [];
  let at = 0;
  for (const match of words.matchAll(BLANK)) {
    const form = match[2] ?? 'as-is';
    if (!isForm(form)) continue;
    if (match.index > at) pieces.push({ words: words.slice(at, match.index) });
    pieces.push({ field: match[1]!.trim(), form });
    at = match.index + match[0].length;
  }
  if (at < words.length) pieces.push({ words: words.slice(at) });
  if (read.size >= MOST_KEPT) read.clear();
  read.set(words, pieces);
  return pieces;
}
