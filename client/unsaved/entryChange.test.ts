import { expect, test } from '@jest/globals';
import { type EntryContent, newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import { saysNothing } from './entryChange';

const content = newEntry('Fed', 'en-GB', plainPassage('It was fed.'));
const start = { content, base: 3 };
const change = { content, base: 3, reason: '' };

/** The same content as a store of JSON gives it back: its keys in another order. */
const turned = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(turned)
    : value && typeof value === 'object'
      ? Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([key, inner]) => [key, turned(inner)]),
        )
      : value;

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
