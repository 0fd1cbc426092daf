import { describe, expect, test } from '@jest/globals';
import { checkEntry } from '#core/entry';
import { writeEntry } from '#core/notation';
import { CollectionFileSchema } from '#core/takeover';
import { KIND_IDS, KINDS } from '#core/work';
import { starterFile, STARTERS } from './starters';

describe.each(STARTERS.map((starter) => [starter.name, starter] as const))('%s', (_name, starter) => {
  const { entries, collections } = starterFile(starter, ';');

  test('is a file that any team can take over', () => {
    expect(
      CollectionFileSchema.safeParse({ format: 'elderleaf-collection', version: 1, entries, collections })
        .error,
    ).toBeUndefined();
    expect(collections[0]).toMatchObject({
      leadIn: ';',
      kindsOfWork: starter.kind === null ? [] : [starter.kind],
    });
  });

  test('has ten entries or more, each whole, with a purpose and a cue of its own', () => {
    expect(entries.length).toBeGreaterThanOrEqual(10);
    for (const { content } of entries)
      expect([content.title, checkEntry(content)]).toEqual([content.title, []]);
    expect(entries.every(({ content }) => content.purpose !== '')).toBe(true);
    const cues = entries.flatMap(({ content }) => content.cues.map(({ text }) => text));
    expect(cues).toHaveLength(entries.length);
    // None begins as another does, so that none keeps another waiting.
    for (const cue of cues) expect(cues.filter((other) => other.startsWith(cue))).toEqual([cue]);
    expect(new Set(entries.map(({ content }) => content.title)).size).toBe(entries.length);
  });

  test('is written as the notation writes it: nothing was lost in reading', () => {
    const written = entries.map(({ content }) => writeEntry(content).trim());
    expect(written.every((words) => words.includes('== wording Main: en-GB'))).toBe(true);
  });
});

test('every kind of work that is listed has one, and they stand in the order of the kinds', () => {
  const kinds = STARTERS.flatMap(({ kind }) => kind ?? []);
  expect(kinds).toEqual(KIND_IDS.filter((id) => !KINDS[id].reachesAll));
});
