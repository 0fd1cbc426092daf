import { expect, test } from '@jest/globals';
import type { Bank, Entry } from './bank';
import { clashesOf, DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry } from '#core/entry';
import { passageFrom } from '#core/notation';
import { makeIndex } from './bankIndex';
import { makeReach } from './reach';
import { bankCues, withWritten } from './bankCues';

const collection = (id: string, own: boolean, kindsOfWork: string[] = []) => ({
  id,
  name: id,
  parent: null,
  own,
  leadIn: ';',
  cueRules: { ...DEFAULT_CUE_RULES, fires: 'last' as const },
  cuesBy: 'initials' as const,
  kindsOfWork,
  language: 'en-GB',
  right: 'keep' as const,
  changes: 1,
  version: 1,
});
const entry = (id: string, at: string, title: string, cue: string) => ({
  id,
  collection: at,
  revision: 1,
  content: { ...newEntry(title, 'en-GB', passageFrom('Words.')), cues: [{ text: cue }] },
  savedAt: '2026-11-25T10:00:00.000Z',
  savedBy: 'imke',
  varies: null,
});
const index = makeIndex({
  collections: [
    collection('own', true),
    collection('ward', false),
    collection('tape', false, ['transcript']),
  ],
  entries: [
    entry('a', 'ward', 'Admitted', 'wn'),
    entry('z', 'own', 'Zinc', 'wn'),
    entry('b', 'ward', 'Bathed', 'wo'),
    entry('c', 'tape', 'Coughs', 'cg'),
  ] as unknown as Entry[],
  counts: {},
  away: [],
  gone: [],
} as unknown as Bank);
const nothingKnown = { isWord: () => false, longer: () => null, endingIn: () => null };

test('of two typed alike, leaf and page of cues name the same winner, and the leaf knows the other', () => {
  const reach = makeReach(index, 'admission', undefined);
  expect(reach.cues.find(';wn')?.cue.entry).toBe('z');
  expect(reach.byTyped.get(';wn')).toEqual(['z', 'a']);
  const told = clashesOf(bankCues(index), nothingKnown, () => 'free');
  expect(told.map(({ code, cue, other }) => [code, other?.entry, cue.entry])).toEqual([
    ['two-collections', 'z', 'a'],
  ]);
});

test('the page of an entry says the same while it is written', () => {
  const written = {
    entry: 'z',
    title: 'Zinc',
    cues: [{ text: 'wn' }],
    collection: index.collections.get('own'),
  };
  const told = clashesOf(withWritten(bankCues(index), written), nothingKnown, () => 'free');
  expect(told.map(({ cue, other }) => [other?.entry, cue.entry])).toEqual([['z', 'a']]);
});

test('in one collection the cue that is being written is the one to change, wherever its title stands', () => {
  const written = {
    entry: '',
    title: 'Aardvark',
    cues: [{ text: 'wo' }],
    collection: index.collections.get('ward'),
  };
  const told = clashesOf(withWritten(bankCues(index), written), nothingKnown, () => 'free');
  expect(
    told.filter(({ code }) => code === 'taken').map(({ cue, other }) => [other?.entry, cue.entry]),
  ).toEqual([['b', '']]);
});

test('a cue of a collection that is for other work does not fire, and is known as such', () => {
  const reach = makeReach(index, 'admission', undefined);
  expect(reach.cues.find(';cg')).toBeNull();
  expect(reach.outside.find(';cg')?.cue.entry).toBe('c');
  expect(makeReach(index, 'transcript', undefined).outside.find(';cg')).toBeNull();
});
