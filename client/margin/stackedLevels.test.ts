import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { stackedLevels, type Beside } from '.';

const GAP = 8;
const beside = (wanted: number, height: number, isHeld = false): Beside => ({ wanted, height, isHeld });
const levels = (...all: Beside[]) => stackedLevels(all, 0, GAP).map(Math.round);

test.each([
  ['none', [], []],
  ['what has room stands where it is wanted', [beside(10, 20), beside(100, 20)], [10, 100]],
  ['two on one line part half and half', [beside(100, 20), beside(100, 20)], [86, 114]],
  [
    'the one that is held stays, and the other goes down',
    [beside(100, 20, true), beside(100, 20)],
    [100, 128],
  ],
  ['or up', [beside(100, 20), beside(100, 20, true)], [72, 100]],
  ['none is above the top', [beside(0, 20), beside(0, 20), beside(200, 20)], [0, 28, 200]],
])('%s', (_what, all, expected) => {
  expect(levels(...all)).toEqual(expected);
});

const anyThings = fc
  .array(
    fc.record({
      wanted: fc.integer({ min: 0, max: 3000 }),
      height: fc.integer({ min: 10, max: 200 }),
      isHeld: fc.constant(false),
    }),
    { maxLength: 12 },
  )
  .map((all) => all.sort((a, b) => a.wanted - b.wanted));
const cost = (all: readonly Beside[], at: readonly number[]) =>
  all.reduce((sum, { wanted }, index) => sum + (at[index]! - wanted) ** 2, 0);

test('nothing overlaps, and no one thing, nor any run of them, could be moved nearer to where it is wanted', () => {
  fc.assert(
    fc.property(anyThings, (all) => {
      const at = stackedLevels(all, 0, GAP);
      for (let index = 1; index < all.length; index += 1)
        expect(at[index]! - at[index - 1]!).toBeGreaterThanOrEqual(all[index - 1]!.height + GAP - 1e-6);
      const isAllowed = (tops: readonly number[]) =>
        tops.every(
          (one, index) => one >= 0 && (index === 0 || one - tops[index - 1]! >= all[index - 1]!.height + GAP),
        );
      for (let from = 0; from < all.length; from += 1)
        for (let to = from + 1; to <= all.length; to += 1)
          for (const by of [-3, 3]) {
            const moved = at.map((one, index) => (index >= from && index < to ? one + by : one));
            if (isAllowed(moved)) expect(cost(all, moved)).toBeGreaterThanOrEqual(cost(all, at) - 1e-6);
          }
    }),
  );
});
