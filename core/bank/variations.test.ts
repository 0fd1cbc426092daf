import { describe, expect, test } from '@jest/globals';
import type { Entry } from './bank';
import type { Collection } from './collection';
import { newEntry } from '#core/entry';
import { inPlace, variationOf } from './variations';

const collections = new Map(
  [
    ['shared', false],
    ['group', false],
    ['own', true],
  ].map(([id, own]) => [id as string, { id, own } as Collection]),
);
const entry = (id: string, collection: string, over: Partial<Entry> = {}, cue?: string): Entry => ({
  id,
  collection,
  revision: 1,
  content: { ...newEntry(id, 'en-GB'), cues: cue ? [{ text: cue }] : [] },
  savedAt: '2026-11-24T10:00:00.000Z',
  savedBy: 'imke',
  reason: '',
  varies: null,
  ...over,
});
const shared = entry('feeding', 'shared', {}, 'fd');
const varies = { entry: 'feeding', revision: 1 };
const own = entry('mine', 'own', { varies });
const groups = entry('ours', 'group', { varies });
const other = entry('other', 'shared', {}, 'ot');

describe('variations in place of what they vary', () => {
  test("one's own before a group's, by the shared cue and in its collection; by itself it is not there", () => {
    const stands = inPlace([shared, groups, other, own], collections);
    expect(stands.map(({ id, collection, content }) => [id, collection, content.cues])).toEqual([
      ['mine', 'shared', [{ text: 'fd' }]],
      ['other', 'shared', [{ text: 'ot' }]],
    ]);
    expect(variationOf('feeding', [groups, own], collections)?.id).toBe('mine');
    expect(variationOf('other', [groups, own], collections)).toBeUndefined();
  });

  test.each([
    ['what it varies is not there', [own, other], ['mine', 'other']],
    [
      'it is out of use',
      [shared, { ...own, content: { ...own.content, retired: true as const } }],
      ['feeding', 'mine'],
    ],
    ['there is none', [shared, other], ['feeding', 'other']],
  ])('%s: the entries as they are', (_why, entries, ids) => {
    expect(inPlace(entries, collections).map(({ id }) => id)).toEqual(ids);
  });
});
