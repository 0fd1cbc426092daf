const WORD = /[\p{L}\p{N}]+/gu;
const ASCII = /^[a-z0-9]*$/;

/** Accents do not keep a word from being found: "cafe" finds "café". */
export function plainWord(word: string): string {
  const lower = word.toLowerCase();
  // Most words have none, and a whole bank of them is asked about.
  return ASCII.test(lower) ? lower : lower.normalize('NFD').replace(/\p{M}/gu, '');
}

/** The words of a text as it is written, in order: runs of letters and digits. */
export const searchWords = (text: string): string[] => text.match(WORD) ?? [];

/** How many letters of a word may be wrong. */
export const slackOf = (word: string): number => (word.length < 4 ? 0 : word.length < 8 ? 1 : 2);

/** The word with each two neighbouring letters swapped: the commonest slip, and two wrong letters to an index. */
export function swapped(word: string): string[] {
  if (word.length < 4 || word.length > 7) return [];
  return [...word].slice(1).map((letter, at) => word.slice(0, at) + letter + word[at] + word.slice(at + 2));
}
