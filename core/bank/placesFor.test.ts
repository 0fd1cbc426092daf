import { expect, test } from '@jest/globals';
import type { Collection } from './collection';
import type { BankIndex } from './bankIndex';
import type { Entry } from './bank';
import { placesFor, whyNotMoved } from './placesFor';

const ward = { id: 'ward', right: 'keep', own: false };
const school = { id: 'school', name: 'Field school', right: 'read', own: false };
const mine = { id: 'mine', right: 'keep', own: true };
const all = [ward, school, mine] as Collection[];
const index = {
  bank: { collections: all },
  collections: new Map(all.map((one) => [one.id, one])),
} as unknown as BankIndex;

test.each([
  ['what is one’s own goes anywhere one keeps', ['mine'], ['ward', 'mine']],
  ['what is shared stays shared', ['ward'], ['ward']],
  ['of both the shared one decides', ['mine', 'school'], ['ward']],
])('%s', (_what, homes, places) => {
  const entries = homes.map((collection) => ({ collection }));
  expect(placesFor(entries, index).map(({ id }) => id)).toEqual(places);
});

test.each([
  ['mine', 'ward', null],
  ['ward', 'mine', '“Weight” is shared: copy it to have wording of your own. Nothing was moved.'],
  ['ward', 'school', '“Field school” is changed by its keepers only. Nothing was moved.'],
  ['school', 'ward', 'Only its keepers can move “Weight”. Nothing was moved.'],
])('from %s to %s: %s', (collection, to, why) => {
  const entry = { collection, content: { title: 'Weight' } } as Entry;
  expect(whyNotMoved(entry, to, index)).toBe(why);
});
