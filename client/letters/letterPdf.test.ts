import { expect, test } from '@jest/globals';
import type { Passage } from '#core/passage';
import { faceOf, missingSigns } from '#client/faces';
import { labelsAsPdf, pagesAsPdf } from './letterPdf';

const text = (words: string): Passage => ({
  type: 'doc',
  content: [{ type: 'paragraph', content: [{ type: 'text', text: words }] }],
});
/** All runs of words in a definition, with the face of each. */
function runsIn(value: unknown): [string, string][] {
  if (typeof value !== 'object' || value === null) return [];
  if (Array.isArray(value)) return value.flatMap(runsIn);
  const { text: said, font = 'latin', ...rest } = value as { text?: unknown; font?: string };
  const own: [string, string][] = typeof said === 'string' ? [[said, font]] : runsIn(said);
  return [...own, ...Object.values(rest).flatMap(runsIn)];
}

test('what the first part of the book face has not stands in the part that has it', () => {
  const runs = runsIn(pagesAsPdf([text('Annwyl ŵyr, добрый Łódź')], 'x').content);
  expect(runs).toEqual([
    ['Annwyl ', 'latin'],
    ['ŵ', 'latin-ext'],
    ['yr, ', 'latin'],
    ['добрый', 'cyrillic'],
    [' ', 'latin'],
    ['Ł', 'latin-ext'],
    ['ódź'.slice(0, 2), 'latin'],
    ['ź', 'latin-ext'],
  ]);
});

test('letters with their accents apart are written as the one sign that the face has', () => {
  expect(runsIn(pagesAsPdf([text('w\u0302')], 'x').content)).toEqual([['ŵ', 'latin-ext']]);
  expect(missingSigns('w\u0302')).toEqual([]);
});

test('signs that no part has are told', () => {
  expect(missingSigns('Owl 🦉 and 漢字, “quoted” – ≤')).toEqual(['🦉', '漢', '字', '≤']);
  expect(faceOf('€')).toBe('latin');
});

test('each letter begins a page, and labels fill sheets of 21', () => {
  const pages = pagesAsPdf([text('a'), text('b'), text('c')], 'x').content as { pageBreak?: string }[];
  expect(pages.map(({ pageBreak }) => pageBreak)).toEqual([undefined, 'before', 'before']);
  const labels = Array.from({ length: 43 }, (_, at) => [`Person ${at}`, 'Hollin']);
  const sheets = labelsAsPdf(labels, 'x').content as { table: { body: unknown[][] } }[];
  expect(sheets.map(({ table }) => table.body.length)).toEqual([7, 7, 1]);
  for (const { table } of sheets) for (const cells of table.body) expect(cells).toHaveLength(3);
  expect(runsIn(sheets).filter(([words]) => words.startsWith('Person'))).toHaveLength(43);
});
