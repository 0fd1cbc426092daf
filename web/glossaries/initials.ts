import { plainWord } from '#core/finder';

/** The letter that a word is listed under: its first one, without accent and large; '#' for one that begins with none. */
export function initialOf(word: string): string {
  const first = plainWord(word).charAt(0).toUpperCase();
  return /\p{L}/u.test(first) ? first : '#';
}

/** The letters that words are listed under, in their order, '#' last. */
export function initialsOf(words: readonly string[]): string[] {
  const { compare } = new Intl.Collator();
  const letters = new Set(words.map(initialOf));
  const rest = letters.delete('#') ? ['#'] : [];
  return [...letters].sort(compare).concat(rest);
}
