import { plainWord } from './words';

const SHORTEST = 3;
const VOWEL = /[aeiouy]/;

/** The doubled last letter of "runn", as of "running", once; "fell" and "pass" keep theirs. */
const undoubled = (stem: string): string => (/([bdgmnprt])\1$/.test(stem) ? stem.slice(0, -1) : stem);

/** Without an ending, where enough is left that can be a word; null where it is none. */
function without(word: string, ending: string): string | null {
  if (!word.endsWith(ending)) return null;
  const stem = word.slice(0, -ending.length);
  return stem.length >= SHORTEST && VOWEL.test(stem) ? stem : null;
}

/**
 * What the forms of a word have in common, in plain letters: "volunteer" for "volunteering" and "volunteers", "bath" for "bathes",
 * "bathed" and "bathing". Regular English endings alone (after the first step of Porter's stemmer, 1980): words of other
 * languages stay as they are but for an ending that looks so. What is left begins all of the forms, so that it can be searched
 * for as their beginning.
 */
export function stemOf(word: string): string {
  const plain = plainWord(word);
  const y = without(plain, 'ies') ?? without(plain, 'ied');
  if (y !== null) return y;
  for (const ending of ['ings', 'ing', 'edly', 'ed']) {
    const stem = without(plain, ending);
    if (stem !== null) return unended(undoubled(stem));
  }
  if (/(?:ss|us|is)$/.test(plain)) return plain;
  return unended(without(plain, 's') ?? plain);
}

/** Without the e or y that other forms of the word have lost: "bathe", "cry". */
function unended(stem: string): string {
  return stem.length > SHORTEST && /[^aeiou][ey]$/.test(stem) ? stem.slice(0, -1) : stem;
}
