import type { Letter } from './letterMaker';

/**
 * Some of the letters that are still to be checked, drawn by lot: of each entry at least one as far as they go, since letters of one wording
 * go wrong alike.
 * @param draw gives a number from 0 up to 1, as `Math.random` does
 */
export function sampleOf(letters: readonly Letter[], count: number, draw: () => number): string[] {
  const open = letters
    .filter(({ state }) => state === 'to-check')
    .map((letter) => ({ letter, lot: draw() }))
    .sort((a, b) => a.lot - b.lot)
    .map(({ letter }) => letter);
  const seen = new Set<string | null>();
  const first = open.filter(({ entry }) => !seen.has(entry) && seen.add(entry));
  const rest = open.filter((letter) => !first.includes(letter));
  return [...first, ...rest].slice(0, count).map(({ row }) => row.id);
}
