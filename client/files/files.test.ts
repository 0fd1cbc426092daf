import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { FILE_FORMATS, type FormatName } from '#core/exchange';
import { alikeKey } from '#core/naming';
import { ArchiveNames, fileOf } from './files';

test('files of an archive are called by their titles, those after the first of a name by a number', () => {
  const names = new ArchiveNames();
  expect(names.take('Ward note', 'docx')).toBe('Ward note.docx');
  expect(names.take('ward NOTE', 'docx')).toBe('ward NOTE 2.docx');
  expect(names.take('Ward note', 'markdown')).toBe('Ward note.md');
  expect(names.take('Ward note', 'docx')).toBe('Ward note 3.docx');
  // What no system takes is left out, which makes other titles alike.
  expect(names.take('Ward: note?', 'docx')).toBe('Ward note 4.docx');
  expect(names.take('?', 'text')).toBe('Draft.txt');
  expect(names.take('/', 'text')).toBe('Draft 2.txt');
});

test('titles longer than a name may be are told apart too', () => {
  const names = new ArchiveNames();
  const title = `2026-11-03 Kittens from the mill - ${'weighed and fed again '.repeat(6)}`;
  const taken = [names.take(title, 'html'), names.take(title, 'html'), names.take(`${title}!`, 'html')];
  expect(new Set(taken).size).toBe(3);
  expect(taken[1]).toMatch(/ 2\.html$/);
  for (const name of taken) expect(name.length).toBeLessThanOrEqual(105);
});

test('no two names of an archive are one file to any system, whatever the titles are', () => {
  const formats = fc.constantFrom(...(Object.keys(FILE_FORMATS) as FormatName[]));
  const titles = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 130 }),
    fc.constantFrom('a', 'A', 'é', 'e\u0301'),
  );
  fc.assert(
    fc.property(fc.array(fc.tuple(titles, formats), { maxLength: 20 }), (files) => {
      const names = new ArchiveNames();
      const taken = files.map(([title, format]) => alikeKey(names.take(title, format)));
      expect(new Set(taken).size).toBe(files.length);
    }),
  );
});

test('a file says what it is: words with their encoding, bytes as they are', async () => {
  const words = fileOf('csv', 'ä');
  expect(words.type).toBe('text/csv;charset=utf-8');
  expect(await words.text()).toBe('ä');
  const bytes = fileOf('zip', new Uint8Array([80, 75]));
  expect(bytes.type).toBe('application/zip');
  expect(new Uint8Array(await bytes.arrayBuffer())).toEqual(new Uint8Array([80, 75]));
});
