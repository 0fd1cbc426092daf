import type { Paper } from './paper';

/** The words that a name is looked for by: small letters without accents, one space between two. */
export const nameKey = (words: string): string =>
  words
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** A name shorter than this stands in too many words. */
const SHORTEST = 3;

/** The words of a paper in which names are looked for: its text, title, sender and old name, each behind the other. */
export const searchedWords = ({ text, title, from, name }: Paper): string =>
  [from, title, name, text].map((words) => ` ${nameKey(words)} `).join('\n');

/**
 * Which of some names stand in a paper, as whole words whatever their capitals and accents: those that stand furthest to its front first, of
 * two at one place the longer. `searched`: its `searchedWords`; `key` of a name: its `nameKey`, where many are looked for again and again.
 */
export function namesOfPaper<Name extends { words: string; key?: string }>(
  searched: string,
  names: readonly Name[],
): Name[] {
  const found = names.flatMap((name) => {
    const key = name.key ?? nameKey(name.words);
    const at = key.length < SHORTEST ? -1 : searched.indexOf(` ${key} `);
    return at < 0 ? [] : [{ name, at, length: key.length }];
  });
  return found.sort((a, b) => a.at - b.at || b.length - a.length).map(({ name }) => name);
}
