const MARKS = /\p{M}/gu;
const ASCII = /^[\x20-\x7e]*$/;

/** A text as it is compared: small letters, accents off, typed apostrophes and long spaces made plain. */
export function folded(text: string): string {
  const small = text.toLowerCase();
  // Nearly every term: no accents to look for.
  if (ASCII.test(small)) return small;
  return small.normalize('NFD').replace(MARKS, '').replace(/[‘’]/g, "'").replace(/\s/g, ' ');
}

/** The words of a folded text; a hyphen or a slash parts words as a space does. */
const wordsOf = (text: string) => text.split(/[\s/-]+/).filter((word) => word !== '');

/** The initials of a folded phrase ("with kind regards": "wkr"); '' for a single word. */
export function initialsOf(text: string): string {
  const words = wordsOf(text);
  return words.length > 1 ? words.map((word) => word[0]).join('') : '';
}

const VOWELS = /[aeiou]/g;

/**
 * The consonants of a folded word as one writes it in haste: its first letter, then no vowels, a doubled letter once
 * ("hedgehog": "hdghg", "common": "cmn"). '' for a phrase, and where that leaves fewer than two letters.
 */
export function consonantsOf(text: string): string {
  if (!/^[a-z]+$/.test(text)) return '';
  const bare = (text[0]! + text.slice(1).replace(VOWELS, '')).replace(/(.)\1+/g, '$1');
  return bare.length > 1 ? bare : '';
}

/** Whether a folded word may be meant as consonants: three letters or more, and no vowel after the first. */
export const isConsonants = (typed: string): boolean => /^[a-z][b-df-hj-np-tv-z]{2,}$/.test(typed);
