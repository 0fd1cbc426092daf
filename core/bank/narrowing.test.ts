import { expect, test } from '@jest/globals';
import type { Entry } from './bank';
import type { Collection } from './collection';
import { newEntry } from '#core/entry';
import { ALL, isWanted, setFilters, type Narrowing } from './narrowing';

const ward = { id: 'ward', own: false, kindsOfWork: ['admission'] } as unknown as Collection;
const mine = { id: 'own', own: true, kindsOfWork: [] as string[] } as unknown as Collection;
const entry = (id: string, over: Partial<Entry['content']> = {}, more: Partial<Entry> = {}): Entry => ({
  id,
  collection: 'ward',
  revision: 1,
  content: { ...newEntry(id, 'en-GB'), cues: [{ text: id }], ...over },
  savedAt: '2026-11-01T08:00:00.000Z',
  savedBy: 'odile',
  reason: '',
  varies: null,
  ...more,
});
const entries = [
  entry('plain'),
  entry('old', { retired: true, tags: ['intake'] }),
  entry('bare', { cues: [] }, { savedBy: 'imke' }),
  entry('welsh', { wordings: newEntry('x', 'cy').wordings }),
  entry('varied', {}, { varies: { entry: 'plain', revision: 1 } }),
];
const by = {
  member: 'imke',
  usedByMe: new Set(['plain']),
  used: new Set(['plain', 'old']),
  due: new Set(['welsh']),
};

test.each<[Partial<Narrowing>, string[]]>([
  [{}, ['plain', 'old', 'bare', 'welsh', 'varied']],
  [{ kind: 'feedback' }, []],
  [{ kind: 'admission', tag: 'intake' }, ['old']],
  [{ language: 'cy' }, ['welsh']],
  [{ language: 'en' }, ['plain', 'old', 'bare', 'varied']],
  [{ state: 'in-use' }, ['plain', 'bare', 'welsh', 'varied']],
  [{ state: 'retired' }, ['old']],
  [{ state: 'no-cue' }, ['bare']],
  [{ state: 'due' }, ['welsh']],
  [{ state: 'variation' }, ['varied']],
  [{ used: 'by-me' }, ['plain']],
  [{ used: 'not-by-me', state: 'in-use' }, ['bare', 'welsh', 'varied']],
  [{ used: 'never' }, ['bare', 'welsh', 'varied']],
  [{ whose: 'saved-by-me' }, ['bare']],
  [{ whose: 'own' }, []],
])('narrowed by %j: %j', (over, wanted) => {
  const narrowing = { ...ALL, ...over };
  expect(entries.filter((one) => isWanted(one, ward, narrowing, by)).map(({ id }) => id)).toEqual(wanted);
  expect(setFilters(narrowing)).toBe(Object.keys(over).length);
});

test('what names no kind of work is for every one, and one’s own is one’s own', () => {
  expect(isWanted(entries[0]!, mine, { ...ALL, kind: 'feedback', whose: 'own' }, by)).toBe(true);
});
