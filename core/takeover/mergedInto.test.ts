import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema, newEntry, newField, type EntryContent } from '#core/entry';
import { plainPassage, type Passage } from '#core/passage';
import { anyEntry } from '#core/testing';
import { canMerge, mergedInto } from './mergedInto';

const blank = (field: string): Passage => ({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: [
        {
          type: 'blank',
          attrs: { field, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
        },
      ],
    },
  ],
});
const entry = (words: string, more: Partial<EntryContent> = {}): EntryContent => ({
  ...newEntry('Tide', 'en-GB', plainPassage(words)),
  ...more,
});

test('what one has not comes beside what it has: wordings, cues, tags; a purpose where it has none', () => {
  const ours = entry('It turns.', { tags: ['sea'], cues: [{ text: 'td' }], note: 'Ours' });
  const theirs = entry('It turns twice.', {
    tags: ['sea', 'moon'],
    cues: [{ text: 'TD' }, { text: 'ti' }],
    purpose: 'At sea',
    note: 'Theirs',
  });
  const merged = mergedInto(ours, theirs);
  expect(merged.wordings.map(({ name }) => name)).toEqual(['Main', 'Main 2']);
  expect(merged).toMatchObject({
    tags: ['sea', 'moon'],
    cues: [{ text: 'td' }, { text: 'ti' }],
    purpose: 'At sea',
    note: 'Ours',
  });
  const welsh = { ...newEntry('Tide', 'cy', plainPassage('Mae’n troi.')) };
  expect(mergedInto(ours, welsh).wordings.map(({ name, language }) => [name, language])).toEqual([
    ['Main', 'en-GB'],
    ['cy', 'cy'],
  ]);
});

test('a field of the same name and kind is one; another with its id gets an id of its own', () => {
  const ours = {
    ...entry('x'),
    wordings: newEntry('Tide', 'en-GB', blank('when')).wordings,
    fields: [newField('date', 'when', 'Day')],
  };
  const theirs = {
    ...entry('x'),
    wordings: newEntry('Tide', 'cy', blank('when')).wordings,
    fields: [newField('text', 'when', 'Place')],
  };
  const merged = mergedInto(ours, theirs);
  expect(merged.fields.map(({ id, name }) => [id, name])).toEqual([
    ['when', 'Day'],
    ['when-2', 'Place'],
  ]);
  expect(JSON.stringify(merged.wordings[1])).toContain('"field":"when-2"');
  expect(
    mergedInto(ours, { ...ours, wordings: newEntry('Tide', 'de', blank('when')).wordings }).fields,
  ).toHaveLength(1);
});

test('of any two that can be merged comes one that can be kept; merged again nothing more comes', () => {
  fc.assert(
    fc.property(anyEntry, anyEntry, (ours, theirs) => {
      fc.pre(canMerge(theirs) && ours.wordings.length + theirs.wordings.length <= 40);
      const merged = mergedInto(ours, theirs);
      expect(EntryContentSchema.safeParse(merged).success).toBe(true);
      expect(new Set(merged.fields.map(({ id }) => id)).size).toBe(merged.fields.length);
      expect(merged.wordings.slice(0, ours.wordings.length)).toEqual(ours.wordings);
      expect(mergedInto(merged, theirs).wordings).toHaveLength(merged.wordings.length);
    }),
    { numRuns: 150 },
  );
});
