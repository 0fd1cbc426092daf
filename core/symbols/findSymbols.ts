import { KNOWN_SYMBOLS } from './symbols';

/** A sign and its name. */
export interface NamedSymbol {
  name: string;
  sign: string;
}

const fold = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Each with the words it is found by; Å also by "a". */
const known = KNOWN_SYMBOLS.map(([name, sign]) => ({
  name,
  sign,
  words: `${fold(name)} ${fold(sign)}`.split(/[^\p{L}\p{N}]+/u),
}));

/**
 * The signs whose names hold a word beginning with each word asked for, or the sign itself; all of them where nothing is asked.
 * Those whose name begins so come first, and letters as small ones before capitals.
 */
export function findSymbols(asked: string, most: number): NamedSymbol[] {
  const typed = asked.trim();
  const itself = known.filter(({ sign }) => sign === typed);
  const wanted = fold(typed).split(/\s+/).filter(Boolean);
  const fits = known.filter(({ words }) => wanted.every((word) => words.some((one) => one.startsWith(word))));
  const begins = fits.filter(({ name }) => wanted[0] !== undefined && fold(name).startsWith(wanted[0]));
  const found = new Set([...itself, ...begins, ...fits]);
  return [...found].slice(0, most).map(({ name, sign }) => ({ name, sign }));
}
