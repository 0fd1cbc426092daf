import { describe, expect, test } from '@jest/globals';
import type { Entry } from '#core/bank';
import type { CollectionFile } from './collectionFile';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry, type EntryContent } from '#core/entry';
import { plainPassage } from '#core/passage';
import { allInto, planTakeOver, type Choice } from './planTakeOver';

const content = (title: string, words: string, cue?: string): EntryContent => ({
  ...newEntry(title, 'en-GB', plainPassage(words)),
  cues: cue ? [{ text: cue }] : [],
});
const collection = {
  id: 'theirs',
  parent: null,
  name: 'Tides',
  leadIn: '',
  cueRules: DEFAULT_CUE_RULES,
  kindsOfWork: [],
  language: 'en-GB',
};
const file = {
  format: 'elderleaf-collection',
  version: 1,
  handedOn: '2026-11-26T08:00:00.000Z',
  team: 'Hollin Marsh',
  collections: [collection],
  entries: [
    { id: 'a', collection: 'theirs', content: content('Tide', 'It turns.', 'td') },
    { id: 'b', collection: 'theirs', content: content('Ebb', 'It falls.', 'eb') },
    { id: 'c', collection: 'theirs', content: content('Flood', 'It rises.', 'fl') },
  ],
} as unknown as CollectionFile;
const standing = (id: string, one: EntryContent): Entry => ({
  id,
  collection: 'ours',
  revision: 4,
  content: one,
  savedAt: '2026-11-25T08:00:00.000Z',
  savedBy: 'imke',
  reason: '',
  varies: null,
});
const there = [
  standing('s', content('Tide', 'It turns twice a day.', 'td')),
  standing('t', content('Ebb', 'It falls.', 'eb')),
  standing('u', content('Fluids', 'Given.', 'fl')),
];
const plan = (into: string | null, choices: [string, Choice][] = []) =>
  planTakeOver(
    file,
    into === null ? new Map() : allInto(file, { id: into, cuesBy: 'initials' }),
    into === null ? [] : there,
    new Map(choices),
  );
const coming = ({ body }: ReturnType<typeof plan>) =>
  body.entries.map(({ id, replaces, content: { cues } }) => [id, replaces?.entry ?? null, cues[0]?.text]);

describe('taking a file over', () => {
  test('into a collection of its own all of it comes, cues and all', () => {
    expect(coming(plan(null))).toEqual([
      ['a', null, 'td'],
      ['b', null, 'eb'],
      ['c', null, 'fl'],
    ]);
  });

  test('into ours what reads otherwise, or the same, is left, what is left is known, and a taken cue gives way', () => {
    const usual = plan('ours');
    expect(usual.arrivals.map(({ state, choice }) => `${state} ${choice}`)).toEqual([
      'differs leave',
      'same leave',
      'new new',
    ]);
    expect(usual.body.known).toEqual({ a: 's', b: 't' });
    const [[id, replaces, cue]] = coming(usual) as [[string, string | null, string]];
    expect([id, replaces]).toEqual(['c', null]);
    expect(cue).not.toBe('fl');
    expect(usual.arrivals[2]!.cues).toMatchObject([{ cue: 'fl', now: cue }]);
  });

  test('theirs in place of ours keeps its cue, which ours gives up; both side by side make one give way', () => {
    expect(coming(plan('ours', [['a', 'replace']]))[0]).toEqual(['a', 's', 'td']);
    const [first] = coming(plan('ours', [['a', 'new']]));
    expect(first!.slice(0, 2)).toEqual(['a', null]);
    expect(first![2]).not.toBe('td');
  });
});
