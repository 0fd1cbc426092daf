import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { USUAL_KEEPING } from '#contracts';
import { backupName, backupsToDrop, isBackupDue, type KeptBackup } from './keptBackups';

const daily = (day: string): KeptBackup => {
  const at = new Date(`${day}T03:00:00Z`);
  return { name: backupName(at, 'daily', false), at, why: 'daily', isEncrypted: false };
};
const lastDays = (count: number): KeptBackup[] =>
  Array.from({ length: count }, (_, at) =>
    daily(new Date(Date.UTC(2026, 10, 29) - at * 86_400_000).toISOString().slice(0, 10)),
  );

describe('which backups are kept', () => {
  test('of a year and more: seven days, four weeks, twelve months', () => {
    const all = lastDays(500);
    const dropped = new Set(backupsToDrop(all, USUAL_KEEPING));
    const kept = all.filter((one) => !dropped.has(one)).map(({ at }) => at.toISOString().slice(0, 10));
    expect(kept).toEqual([
      ...['2026-11-29', '2026-11-28', '2026-11-27', '2026-11-26', '2026-11-25', '2026-11-24', '2026-11-23'],
      ...['2026-11-22', '2026-11-15', '2026-11-08', '2026-10-31', '2026-09-30', '2026-08-31', '2026-07-31'],
      ...['2026-06-30', '2026-05-31', '2026-04-30', '2026-03-31', '2026-02-28', '2026-01-31', '2025-12-31'],
    ]);
  });

  test('what was made by hand or before an upgrade stays, and the newest never goes', () => {
    const at = new Date('2020-01-01T00:00:00Z');
    const others: KeptBackup[] = (['by hand', 'before upgrade'] as const).map((why) => ({
      name: backupName(at, why, false),
      at,
      why,
      isEncrypted: false,
    }));
    expect(backupsToDrop(others, { days: 0, weeks: 0, months: 0 })).toEqual([]);
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { minLength: 1 }),
        fc.nat(9),
        fc.nat(9),
        fc.nat(9),
        (ages, days, weeks, months) => {
          const all = lastDays(901).filter((_, at) => ages.includes(at));
          const dropped = backupsToDrop(all, { days, weeks, months });
          expect(dropped).not.toContain(all[0]);
          expect(all.length - dropped.length).toBeLessThanOrEqual(Math.max(1, days + weeks + months));
          // Dropped again, nothing more goes: what is kept today is not given up by looking twice.
          const kept = all.filter((one) => !dropped.includes(one));
          expect(backupsToDrop(kept, { days, weeks, months })).toEqual([]);
        },
      ),
    );
  });
});

test('one is due once the last daily one is a day old, whatever else was made', () => {
  const now = new Date('2026-11-29T12:00:00Z');
  const byHand: KeptBackup = { name: 'x', at: now, why: 'by hand', isEncrypted: false };
  expect(isBackupDue([], now)).toBe(true);
  expect(isBackupDue([byHand], now)).toBe(true);
  expect(isBackupDue([daily('2026-11-29')], now)).toBe(false);
  expect(isBackupDue([daily('2026-11-28')], now)).toBe(true);
});
