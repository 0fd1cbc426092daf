import { expect, test } from '@jest/globals';
import { type EntryContent, newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import type { Entry } from '#contracts';
import { digestOf } from '#core/difference';
import { turned } from '../testing/turned';
import { arrivedChange, saysNothing } from './entryChange';

const content = newEntry('Fed', 'en-GB', plainPassage('It was fed.'));
const start = { content, base: 3 };
const change = { content, base: 3, reason: '' };

test('a letter typed and taken back leaves nothing to save, in whatever order a store keeps its keys', () => {
  expect(saysNothing(change, start)).toBe(true);
  const stored = turned(content) as EntryContent;
  expect(JSON.stringify(stored)).not.toBe(JSON.stringify(content));
  expect(saysNothing({ ...change, content: stored }, start)).toBe(true);
});

test.each([
  ['other words', { content: newEntry('Fed', 'en-GB', plainPassage('It was fed!')) }],
  ['a reason', { reason: 'why' }],
  ['another revision beneath', { base: 2 }],
  ['a proposal that it answers', { proposal: 'p' }],
  ['having been sent before', { sent: 'key' }],
])('%s is something to save', (_what, over) => {
  expect(saysNothing({ ...change, ...over }, start)).toBe(false);
});

const saved = (over: Partial<Entry> = {}): Entry => ({
  ...{ id: 'e', collection: 'ward', revision: 4, content: turned(content) as EntryContent, varies: null },
  ...{ savedAt: '2026-12-01T08:00:00.000Z', savedBy: 'odile', reason: 'Shorter', ...over },
});
const later = newEntry('Fed', 'en-GB', plainPassage('It was fed twice.'));
const sentOff = { ...change, reason: 'Shorter', digest: digestOf(content) };

test('what arrived though its answer was lost is saved, and what was written since is a change of that', () => {
  const arrived = arrivedChange(sentOff, saved(), 'odile')!;
  expect(arrived).toEqual({ base: 4, content, reason: '' });
  expect(saysNothing(arrived, { content, base: 4 })).toBe(true);
  expect(arrivedChange({ ...sentOff, content: later, reason: 'More' }, saved(), 'odile')).toEqual({
    ...{ base: 4, content: later, reason: 'More' },
  });
});

test.each<[string, Partial<typeof sentOff>, Partial<Entry>]>([
  ['nothing was sent', { digest: undefined }, {}],
  ['it is as it was', {}, { revision: 3 }],
  ['somebody else saved it', {}, { savedBy: 'imke' }],
  ['it says something else', {}, { content: later }],
])('a change stays what it is where %s', (_what, over, there) => {
  expect(arrivedChange({ ...sentOff, ...over }, saved(there), 'odile')).toBeNull();
});
