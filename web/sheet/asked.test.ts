import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Collection } from '#contracts';
import { addressOf, askedOf, collectionsAsked, type SheetAsked } from './asked';
import { ALL } from '#core/bank';

const some = fc.string({ maxLength: 30 });
const asked: fc.Arbitrary<SheetAsked> = fc.record({
  query: some,
  collection: some,
  order: fc.constantFrom('title', 'cue', 'saved'),
  narrowing: fc.record({
    kind: some,
    language: some,
    tag: some,
    state: fc.constantFrom('any', 'in-use', 'retired', 'no-cue', 'due', 'variation'),
    used: fc.constantFrom('any', 'by-me', 'not-by-me', 'never'),
    whose: fc.constantFrom('any', 'own', 'saved-by-me'),
  }),
});

test('what is asked of the sheet is read back from its address', () => {
  fc.assert(
    fc.property(asked, (one) => {
      expect(askedOf(new URLSearchParams(addressOf(one).toString()))).toEqual(one);
    }),
  );
});

test('an address that says nothing, or nothing that there is, asks for all', () => {
  const all = { query: '', collection: '', order: 'title', narrowing: ALL };
  expect(askedOf(new URLSearchParams())).toEqual(all);
  expect(askedOf(new URLSearchParams('order=sideways&state=lost&used=&x=1'))).toEqual(all);
  expect(addressOf(all as SheetAsked).toString()).toBe('');
});

test('a collection is asked for with those within it, to any depth', () => {
  const collections = [
    { id: 'ward', parent: null },
    { id: 'wounds', parent: 'ward' },
    { id: 'burns', parent: 'wounds' },
    { id: 'replies', parent: null },
  ] as Collection[];
  const ids = (wanted: string) => collectionsAsked(collections, wanted).map(({ id }) => id);
  expect(ids('')).toEqual(['ward', 'wounds', 'burns', 'replies']);
  expect(ids('ward')).toEqual(['ward', 'wounds', 'burns']);
  expect(ids('burns')).toEqual(['burns']);
  expect(ids('gone')).toEqual([]);
});
