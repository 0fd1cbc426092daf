import { expect, test } from '@jest/globals';
import { isNearlyFull, storageTroubles } from './storageTroubles';

const GB = 1e9;
test.each([
  [3 * GB, 271 * GB, false],
  [1.9 * GB, 271 * GB, true],
  [1.5 * GB, 10 * GB, false],
  [0.9 * GB, 10 * GB, true],
  [null, null, false],
])('%p bytes free of %p: nearly full is %p', (free, total, is) => {
  expect(isNearlyFull({ free, total })).toBe(is);
});

test('an owner is told of a full disk and of a daily backup that was not made, and of nothing else', () => {
  const now = new Date('2026-11-29T12:00:00Z');
  const made = (at: string, why: 'daily' | 'by hand' = 'daily') => ({ at, why });
  const room = { free: 81 * GB, total: 271 * GB };
  expect(storageTroubles(room, [made('2026-11-28T03:00:00Z')], now)).toEqual([]);
  expect(storageTroubles(undefined, [], now)).toEqual([]);
  expect(storageTroubles(room, [made('2026-11-29T09:00:00Z', 'by hand')], now)).toEqual([]);
  const [full, late] = storageTroubles(
    { free: 0.5 * GB, total: 271 * GB },
    [made('2026-11-29T09:00:00Z', 'by hand'), made('2026-11-20T12:00:00Z')],
    now,
  );
  expect(full).toMatch(/^only 500 MB free/);
  expect(late).toMatch(/^the last daily backup is of .*20/);
});
