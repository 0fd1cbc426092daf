import { expect, test } from '@jest/globals';
import type { Answers } from '#core/draft';
import { newField, type Field } from '#core/entry';
import { newTraySetup, type Paper } from '#core/naming';
import { readEntry } from '#core/notation';
import { emptyRecord } from '#core/record';
import { place } from '#core/fill';
import { nameOfWords, saidIn, wordsOfName } from './lineName';
import { renameTable } from './out/renameTable';
import { proposerFor } from './proposedFor';

const setup = newTraySetup();
const style = { spaces: 'hyphens', capitals: 'lower', accents: 'plain' } as const;

test.each([
  ['2026-03-04 Hollin Power', 'scan.PDF', '2026-03-04 Hollin Power.PDF'],
  ['Bill.pdf', 'scan.PDF', 'Bill.PDF'],
  ['Bill v1.2', 'scan.tar.gz', 'Bill v1.2.tar.gz'],
  ['   ', 'scan.pdf', ''],
  ['notes', 'README', 'notes'],
])('%j for %s is %j', (words, name, whole) => expect(nameOfWords(words, { name }, setup)).toBe(whole));

test('the style of the tray is in the whole name, and not in its ending', () => {
  expect(nameOfWords('May, Café Bill', { name: 'Scan.PDF' }, { ...setup, style })).toBe('may,-cafe-bill.PDF');
});

const NOTATION = `
title: Letter
field Date: date
field Sender: text
field Subject: text

== wording Main: en-GB joins=as-is

{Date|iso} {Sender}, {Subject}
`;
/** A name that is begun by an entry, with answers. */
function begun(answers: Record<string, string>) {
  const read = readEntry(NOTATION.trim());
  if (!read.ok) throw new Error('the entry cannot be read');
  const given = Object.entries(answers).map(([id, text]) => [id, { kind: 'text' as const, text }]);
  const { passage, placement } = place({
    entry: { id: 'le', revision: 1, content: read.value },
    ...{ record: emptyRecord(), today: '2026-11-27', cue: null, id: 'p' },
    answers: Object.fromEntries(given) as Answers,
  });
  return { ...passage, attrs: { placements: { p: placement } } };
}

test('a name with open blanks shows where they are; what was answered in words is told, by the names of fields', () => {
  const name = begun({ sender: 'Marsh Water', subject: '  ' });
  expect(wordsOfName(name)).toMatch(/^… Marsh Water,/);
  expect(saidIn(begun({ sender: 'Marsh Water', subject: 'pools' }))).toEqual({
    Sender: 'Marsh Water',
    Subject: 'pools',
  });
});

const paper: Paper = {
  ...{
    name: 'scan.pdf',
    title: 'Your water',
    from: 'Billing',
    dated: null,
    datedAs: '',
    changed: '2026-11-20',
  },
  text: 'MARSH WATER\nInvoice date: 4 March 2026\nAccount number: 8841-22\nSheet HM-2026-0042',
};
const known = {
  ...{ today: '2026-11-27', languages: ['en-GB'], numbers: ['HM-2025-0001'] },
  said: [
    { field: 'Sender', words: 'Tern Print', times: 9 },
    { field: 'Sender', words: 'Marsh Water', times: 2 },
    { field: 'Subject', words: 'pools', times: 1 },
  ],
};
const proposed = (field: Field) =>
  proposerFor(paper, known)(field).map(({ words, context }) => `${words}: ${context}`);
const text = (name: string) => newField('text', 'f', name);

test('a blank is offered what its field asks for: senders in the file before those most often named', () => {
  expect(proposed(text('Sender'))).toEqual([
    'Marsh Water: in this file',
    'Billing: as the file says',
    'Tern Print: in an earlier name',
  ]);
  expect(proposed(text('Number'))).toEqual(['HM-2026-0042: like HM-2025-0001', '8841-22: Account number']);
  expect(proposed(text('Subject'))).toEqual(['Your water: as the file says', 'pools: in an earlier name']);
  expect(proposed(newField('date', 'd', 'Date'))).toEqual([
    '4 March 2026: Invoice date: 4 March 2026',
    '20 November 2026: last changed',
  ]);
  expect(proposed(newField('number', 'n', 'Count'))).toEqual([]);
});

test('the table of names keeps a spreadsheet from taking one for a formula', () => {
  const line = {
    folder: '',
    name: '=cmd.pdf',
    newName: 'a, "b".pdf',
    renamed: 'here',
    renamedAt: '2026-11-27T10:00:00Z',
  };
  expect(renameTable([line as never]).split('\r\n')[1]).toBe(
    `,'=cmd.pdf,"a, ""b"".pdf",in its folder,2026-11-27T10:00:00Z`,
  );
});
