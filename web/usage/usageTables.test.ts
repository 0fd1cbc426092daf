import { expect, test } from '@jest/globals';
import type { Usage } from '#contracts';
import type { BankIndex } from '#core/bank';
import { usageRows, usageTables } from './usageTables';

const sums = (times: number) => ({ times, saved: times * 10, mine: 1, mineSaved: 9 });
const usage = {
  entries: [{ entry: 'one', title: 'Weight today', collection: 'ward', ...sums(4) }],
  weeks: [{ week: '2026-11-23', ...sums(4) }],
  kinds: [{ kind: 'admission', ...sums(4) }],
  collections: [{ collection: 'ward', ...sums(4) }],
  people: [{ member: 'odile', name: 'Odile Brandt', ...sums(4) }],
} as unknown as Usage;
const index = { collections: new Map([['ward', { name: 'Ward notes' }]]) } as unknown as BankIndex;

test('figures are taken away as they are read: every table, its sums as numbers, of oneself alone no table of people', () => {
  const tables = usageTables(usage, index, () => 'Notes', 'en-GB');
  expect(tables.map(({ caption }) => caption)).toEqual([
    'By week',
    'By kind of work',
    'By collection',
    'By entry',
  ]);
  expect(usageRows(tables)).toEqual([
    ['Table', 'What', 'Placed', 'Placed by you', 'Keys saved', 'Keys saved by you'],
    ['By week', 'Week of 23 November 2026', '4', '1', '40', '9'],
    ['By kind of work', 'Notes', '4', '1', '40', '9'],
    ['By collection', 'Ward notes', '4', '1', '40', '9'],
    ['By entry', 'Weight today', '4', '1', '40', '9'],
  ]);
});
