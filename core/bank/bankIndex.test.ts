import { expect, test } from '@jest/globals';
import type { Bank, Entry } from './bank';
import type { Collection } from './collection';
import { newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import { makeIndex } from './bankIndex';

const entry = (id: string, collection: string): Entry => ({
  id,
  collection,
  revision: 1,
  content: newEntry(`Title ${id}`, 'en-GB', plainPassage('Words to find.')),
  savedAt: '',
  savedBy: '',
  reason: '',
  varies: null,
});
const collection = (id: string) => ({ id, name: id, leadIn: ';', own: false, right: 'keep' }) as Collection;

test('an entry that two collections hold while it moves is there once, where it came last, and is found', () => {
  const bank: Bank = {
    collections: [collection('a'), collection('b')],
    counts: { a: 2, b: 1 },
    away: [],
    entries: [entry('one', 'a'), entry('two', 'a'), entry('one', 'b')],
    gone: [],
  };
  const index = makeIndex(bank);
  expect(index.bank.entries.map(({ id, collection: at }) => [id, at])).toEqual([
    ['one', 'b'],
    ['two', 'a'],
  ]);
  expect(index.entries.get('one')?.collection).toBe('b');
  expect(index.finder.find('words').sort()).toEqual(['one', 'two']);
});
