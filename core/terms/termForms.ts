import type { TermForm } from './findTerm';

const VOWEL = /[aeiou]/;
const isConsonantY = (word: string) => /[^aeiou]y$/i.test(word);
/** One syllable that ends with one vowel and one consonant doubles it: hop, hopped. */
const doubled = (word: string) =>
  /^[^aeiou]*[aeiou][^aeiouwxy]$/i.test(word) && VOWEL.test(word) ? word + word.at(-1)! : word;

const plural = (word: string): string => {
  if (isConsonantY(word)) return `${word.slice(0, -1)}ies`;
  return /(?:s|x|z|ch|sh)$/i.test(word) ? `${word}es` : `${word}s`;
};
const past = (word: string): string => {
  if (isConsonantY(word)) return `${word.slice(0, -1)}ied`;
  return word.endsWith('e') ? `${word}d` : `${doubled(word)}ed`;
};
const going = (word: string): string =>
  /[^e]e$/i.test(word) ? `${word.slice(0, -1)}ing` : `${doubled(word)}ing`;

const ofLast = (term: string, form: (word: string) => string) =>
  term.replace(/\p{L}+(?=[^\p{L}]*$)/u, (word) => form(word));

/**
 * A term and its regular English forms, each with the same form of what it becomes: "hog" and "hogs", "fed" stays what it is.
 * Of several words the last is inflected. Forms that nobody writes find nothing, and do no harm.
 */
export function termForms(from: string, to: string): TermForm[] {
  const [a, b] = [from.trim(), to.trim()];
  if (a === '') return [];
  const all = [
    { from: a, to: b },
    ...[plural, past, going].map((form) => ({ from: ofLast(a, form), to: b === '' ? '' : ofLast(b, form) })),
  ];
  return all.filter((one, at) => all.findIndex((other) => other.from === one.from) === at);
}
