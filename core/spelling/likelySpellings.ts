import { slips } from '#core/difference';

/** So many are proposed at the most. */
export const MOST_PROPOSED = 5;

const plain = (word: string) => word.toLowerCase().replace(/['’ -]/g, '');
const sorted = (word: string) => [...word].sort().join('');

/** Whether all letters of the one stand in the other, in their order. */
function isWithin(short: string, long: string): boolean {
  let at = 0;
  for (const letter of long) if (letter === short[at]) at += 1;
  return at === short.length;
}

/** What each further slip weighs; letters swapped and letters left out are made most often. */
const SWAPPED = 0.5;
const LEFT_OUT = 0.75;
const OTHER_FIRST = 0.5;
const OTHER_CAPITAL = 0.6;
/** The most usual word is thought as likely as one that is half a slip nearer. */
const USUAL = 0.5 / 100;

/** How far a proposal is from what was written: the lower the likelier. */
function farness(written: string, proposed: string): number {
  const [from, to] = [plain(written), plain(proposed)];
  const apart = slips(from, to);
  const isSwapped = apart === 1 && from.length === to.length && sorted(from) === sorted(to);
  const isLeftOut = from.length < to.length && isWithin(from, to);
  const by = isSwapped ? SWAPPED : isLeftOut ? apart * LEFT_OUT : apart;
  const hasOtherFirst = from[0] !== to[0] && !isSwapped;
  const isCapital = /^\p{Lu}/u.test(proposed) && !/^\p{Lu}/u.test(written);
  return by + (hasOtherFirst ? OTHER_FIRST : 0) + (isCapital ? OTHER_CAPITAL : 0);
}

/** The two words that a word may be with its space left out, each way it can be parted: "alot" is "a lot". */
export function partings(word: string): [string, string][] {
  return Array.from({ length: Math.max(0, word.length - 1) }, (_, at) => [
    word.slice(0, at + 1),
    word.slice(at + 1),
  ]);
}

/**
 * Spellings that were likely meant, the likeliest first: by how few slips lead to them (Damerau 1964; swapped and left-out letters
 * weigh less, a wrong first letter more), and by how usual each is.
 * @param usualness how usual a word is, 0 (not known to be) to 100
 */
export function likelySpellings(
  written: string,
  proposed: readonly string[],
  usualness: (word: string) => number,
): string[] {
  return [...new Set(proposed)]
    .map((word) => ({ word, far: farness(written, word) - usualness(word) * USUAL }))
    .sort((a, b) => a.far - b.far)
    .slice(0, MOST_PROPOSED)
    .map(({ word }) => word);
}
