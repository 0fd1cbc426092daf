import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry, type EntryContent } from '#core/entry';
import { passageFrom } from '#core/notation';
import { anyEntry } from '#core/testing';
import { entryDifference, mergedEntry } from '.';

const base: EntryContent = {
  ...newEntry('Fluids', 'en-GB', passageFrom('Fluids were given.')),
  tags: ['a', 'b'],
  cues: [{ text: 'fl' }],
};
const withWords = (content: EntryContent, words: string): EntryContent => ({
  ...content,
  wordings: [
    { ...content.wordings[0]!, parts: [{ ...content.wordings[0]!.parts[0]!, passage: passageFrom(words) }] },
  ],
});

describe('two changes of one entry', () => {
  test.each<[string, EntryContent, EntryContent, EntryContent, string[]]>([
    [
      'that do not touch stand both',
      { ...base, title: 'Fluids by mouth', tags: ['a', 'b', 'c'] },
      { ...withWords(base, 'Warm fluids.'), tags: ['x', 'a'] },
      { ...withWords(base, 'Warm fluids.'), title: 'Fluids by mouth', tags: ['x', 'a', 'c'] },
      [],
    ],
    [
      'that are the same are one',
      { ...base, title: 'Drink' },
      { ...base, title: 'Drink' },
      { ...base, title: 'Drink' },
      [],
    ],
    [
      'of the same words are told, and mine stands',
      withWords(base, 'Warmed fluids.'),
      withWords({ ...base, purpose: 'By day' }, 'Cold fluids.'),
      withWords({ ...base, purpose: 'By day' }, 'Warmed fluids.'),
      ['wording Main'],
    ],
    [
      'where one takes out what the other changed are told',
      { ...base, cues: [{ text: 'fl', rules: { fires: 'closing' } }] },
      { ...base, cues: [] },
      { ...base, cues: [{ text: 'fl', rules: { fires: 'closing' } }] },
      ['cues'],
    ],
  ])('%s', (_what, mine, theirs, wanted, clashes) => {
    const merged = mergedEntry(base, mine, theirs);
    expect(entryDifference(merged.content, wanted)).toEqual([]);
    expect(merged.clashes.map(({ about, name }) => `${about} ${name}`.trim().split(',')[0])).toEqual(clashes);
  });

  test('of which one changed nothing are the other', () => {
    fc.assert(
      fc.property(anyEntry, anyEntry, (one, other) => {
        for (const [mine, theirs] of [
          [other, one],
          [one, other],
        ] as const) {
          const { content, clashes } = mergedEntry(one, mine, theirs);
          // Where both lists hold the same things in another order, theirs stands.
          const differs = entryDifference(content, other).filter(
            ({ about }) => !['order', 'tags', 'cues'].includes(about),
          );
          expect(differs).toEqual([]);
          expect(clashes).toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });
});
