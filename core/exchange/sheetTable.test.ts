import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { passageFrom } from '#core/notation';
import { sheetTable, type SheetTableRow } from './index';

const row = (over: Partial<SheetTableRow> = {}): SheetTableRow => ({
  collection: 'Ward notes',
  cue: ',rel',
  title: 'Fit for release',
  passage: passageFrom('After **three** days.\n\n- fed\n- weighed'),
  purpose: '',
  tags: ['discharge', 'wild'],
  nameOf: (field) => field,
  ...over,
});

/** Tab-separated values as a spreadsheet reads them. */
function cells(text: string): string[][] {
  const rows: string[][] = [['']];
  let quoted = false;
  for (let at = 0; at < text.length; at += 1) {
    const char = text[at]!;
    const cellsOfRow = rows.at(-1)!;
    if (quoted && char === '"' && text[at + 1] === '"') {
      cellsOfRow[cellsOfRow.length - 1] += '"';
      at += 1;
    } else if (char === '"' && (quoted || cellsOfRow.at(-1) === '')) quoted = !quoted;
    else if (!quoted && char === '\t') cellsOfRow.push('');
    else if (!quoted && char === '\n') rows.push(['']);
    else cellsOfRow[cellsOfRow.length - 1] += char;
  }
  return rows;
}

test('entries are a table with its formatting, and lines of cells whatever stands in them', () => {
  const { html, text } = sheetTable([row()]);
  expect(html).toContain('<td>Fit for release</td><td><p>After <strong>three</strong> days.</p><ul>');
  expect(cells(text)).toEqual([
    ['Collection', 'Cue', 'Title', 'Wording', 'When to use it', 'Tags'],
    [
      'Ward notes',
      ',rel',
      'Fit for release',
      expect.stringMatching(/^After three days\.\n/),
      '',
      'discharge, wild',
    ],
  ]);
});

test('any title, purpose and tag comes through a spreadsheet as it was, and is never a formula', () => {
  fc.assert(
    fc.property(
      fc.array(fc.string({ unit: fc.constantFrom('a', '"', '\t', '\n', '=', '-', ' ', ',', '<', '&') }), {
        minLength: 3,
        maxLength: 3,
      }),
      ([title, purpose, tag]) => {
        const { html, text } = sheetTable([row({ title: title!, purpose: purpose!, tags: [tag!] })]);
        const [, found] = cells(text);
        const bare = (one: string) => one.replace(/^'(?=[=+\-@\t\r].)/s, '');
        expect([found![2], found![4], found![5]].map((one) => bare(one!))).toEqual([title, purpose, tag]);
        for (const one of found!) expect(one).not.toMatch(/^[=+\-@\t\r]./s);
        expect(html).not.toMatch(/<(?!\/?(?:table|thead|tbody|tr|th|td|p|strong|ul|li)\b)/);
      },
    ),
    { numRuns: 500 },
  );
});
