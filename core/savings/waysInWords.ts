import type { Way, WayCount } from './ways';

/** Fewer than this say nothing about a habit. */
const LEAST_COMPARED = 5;

/** How many keys a way takes each time, to one decimal; null where it was not used. */
export const keysEach = ({ times, keys }: WayCount): number | null =>
  times === 0 ? null : Math.round((keys / times) * 10) / 10;

/**
 * What the ways in which somebody brings wording say when they are compared: the one used most, and the one of fewest keys where
 * another took more. Null where too little was brought to say anything.
 * @param named what a way is called within a sentence: "by its cue"
 * @param locale in which figures are written
 */
export function waysInWords(
  ways: readonly WayCount[],
  named: Readonly<Record<Way, string>>,
  locale: string,
): string | null {
  const compared = ways.filter(({ times }) => times >= LEAST_COMPARED);
  const most = compared.toSorted((a, b) => b.times - a.times)[0];
  if (!most) return null;
  const figure = (value: number) => value.toLocaleString(locale);
  const told = (way: WayCount) => `${figure(keysEach(way)!)} keys each time`;
  const first = `You bring wording ${named[most.way]} most: ${told(most)}.`;
  const quickest = compared.toSorted((a, b) => keysEach(a)! - keysEach(b)!)[0]!;
  if (quickest.way === most.way || keysEach(quickest) === keysEach(most)) return first;
  return `${first} Brought ${named[quickest.way]} it takes you ${figure(keysEach(quickest)!)}.`;
}
