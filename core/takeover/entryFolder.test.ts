import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { anyEntry } from '#core/testing';
import { entryFolder, readEntryFolder, UnreadableEntry, type PlacedEntry } from './entryFolder';

test('any entries go into a folder and come back the same, in one order whatever order they came in', () => {
  const placed = fc.uniqueArray(
    fc.record({
      id: fc.stringMatching(/^[a-z0-9]{1,20}$/),
      path: fc.array(fc.constantFrom('Ward notes', 'Birds', 'A / B', 'x: y?'), { maxLength: 3 }),
      content: anyEntry,
    }),
    { selector: ({ id }) => id, maxLength: 6 },
  );
  fc.assert(
    fc.property(placed, (entries) => {
      const files = entryFolder(entries);
      expect(entryFolder([...entries].reverse())).toEqual(files);
      const byId = (all: readonly PlacedEntry[]) => new Map(all.map(({ id, content }) => [id, content]));
      expect(byId(readEntryFolder(files))).toEqual(byId(entries));
      expect(new Set(files.map(([path]) => path)).size).toBe(entries.length);
      for (const [path] of files) expect(path).not.toMatch(/(^|\/)\.\.?(\/|$)|[\\:*?"<>|]|^\//);
    }),
    { numRuns: 60 },
  );
});

test('a file that is no entry is named, with its line', () => {
  expect(() => readEntryFolder([['Ward/a.txt', 'title: A\nnonsense\n']])).toThrow(UnreadableEntry);
  expect(() => readEntryFolder([['Ward/a.txt', 'title: A\nnonsense\n']])).toThrow(/^Ward\/a\.txt, line 2: /);
});
