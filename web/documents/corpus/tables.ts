import { latin1, utf16 } from './utf16';
import type { CorpusFile } from './corpusFile';
import { docxOf, odtOf, type MadeBlock } from './documents';
import { workbookOf, type MadeSheet } from './workbook';
import { WELSH, WORDINGS } from './wordings';

const utf8 = (text: string) => new TextEncoder().encode(text);
const quoted = (cell: string) => (/[",;\n\t]/.test(cell) ? `"${cell.replace(/"/g, '""')}"` : cell);
const lines = (rows: readonly (readonly string[])[], by: string, end = '\n') =>
  rows.map((row) => row.map((cell) => (by === '\t' ? cell : quoted(cell))).join(by)).join(end);

const HEADS = ['Title', 'Cue', 'Wording', 'Category'];
const ROWS = WORDINGS.map(({ title, cue, words, topic }) => [title, cue, words, topic]);
const twoLines = (words: string) => words.replace('. ', '.\n');

const sheet = (rows: MadeSheet['rows'], more: Partial<MadeSheet> = {}): Uint8Array =>
  workbookOf([{ name: 'Sheet1', rows, ...more }]);

const cell = (text: string): MadeBlock[] => [{ text }];
const docxTable = (rows: readonly (readonly string[])[]): MadeBlock => ({
  table: rows.map((row) => row.map(cell)),
});

/** Tables as people have them. */
export const TABLES: readonly CorpusFile[] = [
  { name: 'commas.csv', bytes: utf8(lines([HEADS, ...ROWS], ',')), has: ['cue', 'topic'] },
  { name: 'semicolons.csv', bytes: utf8(lines([HEADS, ...ROWS], ';')), has: ['cue', 'topic'] },
  { name: 'tabs.tsv', bytes: utf8(lines([HEADS, ...ROWS], '\t', '\r\n')), has: ['cue', 'topic'] },
  { name: 'tabs-named.txt', bytes: utf8(lines([HEADS, ...ROWS], '\t')), has: ['cue', 'topic'] },
  {
    name: 'windows-1252.csv',
    bytes: latin1(lines([['Titel', 'Kürzel', 'Textbaustein', 'Kategorie'], ...ROWS], ';')),
    has: ['cue', 'topic'],
  },
  { name: 'utf-16.csv', bytes: utf16(lines([HEADS, ...ROWS], ',')), has: ['cue', 'topic'] },
  { name: 'utf-16-big.txt', bytes: utf16(lines([HEADS, ...ROWS], '\t'), false), has: ['cue', 'topic'] },
  {
    name: 'utf-8-marked.csv',
    bytes: utf8(`\uFEFF${lines([HEADS, ...ROWS], ',', '\r\n')}`),
    has: ['cue', 'topic'],
  },
  {
    name: 'line-breaks.csv',
    bytes: utf8(
      lines(
        [HEADS, ...ROWS.map(([title, cue, words, topic]) => [title!, cue!, twoLines(words!), topic!])],
        ',',
      ),
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'odd-head.csv',
    bytes: utf8(
      lines(
        [
          ['Group', 'Code', 'Title', 'Comment', 'English only?'],
          ...WORDINGS.map(({ title, cue, words, topic }) => [topic, cue, title, words, 'yes']),
        ],
        ',',
      ),
    ),
    has: ['cue', 'topic'],
  },
  { name: 'no-heads.csv', bytes: utf8(lines(ROWS, ',')), has: ['cue'] },
  {
    name: 'no-heads-two-columns.csv',
    bytes: utf8(
      lines(
        WORDINGS.map(({ cue, words }) => [cue, words]),
        ',',
      ),
    ),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'wordings-alone.csv',
    bytes: utf8(lines([['Comment'], ...WORDINGS.map(({ words }) => [words])], ',')),
    titled: false,
  },
  {
    name: 'empty-rows.csv',
    bytes: utf8(lines([['', '', '', ''], HEADS, ...ROWS.flatMap((row) => [row, ['', '', '', '']])], ',')),
    has: ['cue', 'topic'],
  },
  {
    name: 'title-above.csv',
    bytes: utf8(
      lines([['Standard comments of the ward', '', '', ''], ['March 2026', '', '', ''], HEADS, ...ROWS], ','),
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'numbers-and-dates.csv',
    bytes: utf8(
      lines(
        [
          ['No.', 'Date added', 'Short code', 'Name', 'Full text', 'Author', 'Times used'],
          ...WORDINGS.map(({ title, cue, words }, at) => [
            String(at + 1),
            `0${at + 1}/03/2026`,
            cue,
            title,
            words,
            'I. Tarrow',
            String(at * 7),
          ]),
        ],
        ',',
      ),
    ),
    has: ['cue'],
  },
  {
    name: 'lead-in.csv',
    bytes: utf8(
      lines([['Shortcut', 'Expands to'], ...WORDINGS.map(({ cue, words }) => [`//${cue}`, words])], ','),
    ),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'two-languages.csv',
    bytes: utf8(
      lines(
        [
          ['Title', 'English', 'Cymraeg', 'Shortcut'],
          ...WORDINGS.map(({ title, words, cue }, at) => [title, words, WELSH[at]!, cue]),
        ],
        ',',
      ),
    ),
    has: ['cue', 'welsh'],
  },
  {
    name: 'language-column.csv',
    bytes: utf8(
      lines(
        [
          ['Title', 'Language', 'Text', 'Code'],
          ...WORDINGS.flatMap(({ title, words, cue }, at) => [
            [title, 'English', words, cue],
            [title, 'Welsh', WELSH[at]!, ''],
          ]),
        ],
        ',',
      ),
    ),
    has: ['cue', 'welsh'],
  },
  {
    name: 'subjects.csv',
    bytes: utf8(
      lines(
        [
          ['Name', 'Subject', 'Message', 'Shortcut'],
          ...WORDINGS.map(({ title, words, cue }) => [title, `About: ${title}`, words, cue]),
        ],
        ',',
      ),
    ),
    has: ['cue', 'part'],
  },
  {
    name: 'criteria.csv',
    bytes: utf8(
      lines(
        [
          ['Criterion', 'Comment', 'Short name'],
          ...WORDINGS.map(({ title, words, topic }) => [topic, words, title]),
        ],
        ',',
      ),
    ),
  },
  { name: 'plain.xlsx', bytes: sheet([HEADS, ...ROWS]), has: ['cue', 'topic'] },
  {
    name: 'merged-title.xlsx',
    bytes: sheet([['Comment bank, spring term', '', '', ''], ['', '', '', ''], HEADS, ...ROWS], {
      merged: ['A1:D1'],
    }),
    has: ['cue', 'topic'],
  },
  {
    name: 'merged-groups.xlsx',
    bytes: sheet(
      [
        ['Category', 'Title', 'Cue', 'Wording'],
        ...WORDINGS.map(({ title, cue, words, topic }, at) => [at % 2 === 0 ? topic : '', title, cue, words]),
      ],
      { merged: ['A2:A3', 'A4:A5', 'A6:A7'] },
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'two-rows-of-heads.xlsx',
    bytes: sheet(
      [
        ['Name', 'English', '', 'Cymraeg', ''],
        ['Title', 'Text', '', 'Testun', ''],
        ...WORDINGS.map(({ title, words }, at) => [title, words, '', WELSH[at]!, '']),
      ],
      { merged: ['B1:C1', 'D1:E1'] },
    ),
    has: ['welsh'],
  },
  {
    name: 'sections.xlsx',
    bytes: sheet([
      ['Title', 'Cue', 'Wording'],
      ...WORDINGS.flatMap(({ title, cue, words, topic }, at) => [
        ...(at % 2 === 0 ? [[topic, '', '']] : []),
        [title, cue, words],
      ]),
    ]),
    has: ['cue', 'topic'],
  },
  {
    name: 'formulas.xlsx',
    bytes: sheet([
      ['Title', 'Cue', 'Wording', 'Length'],
      ...WORDINGS.map(({ title, cue, words }, at) => [
        title,
        cue,
        { formula: `CONCATENATE("x",B${at + 2})`, value: words },
        { formula: `LEN(C${at + 2})`, value: String(words.length) },
      ]),
    ]),
    has: ['cue'],
  },
  {
    name: 'rich-text.xlsx',
    bytes: sheet([
      ['Title', 'Cue', 'Wording'],
      ...WORDINGS.map(({ title, cue, words }) => [
        title,
        cue,
        { rich: [words.slice(0, 6), words.slice(6, 12), words.slice(12)] },
      ]),
    ]),
    has: ['cue'],
  },
  {
    name: 'hidden-sheet.xlsx',
    bytes: workbookOf([
      {
        name: 'Old ones',
        hidden: true,
        rows: [
          HEADS,
          ...ROWS,
          ...ROWS.map(([title, cue, words]) => [`Old ${title}`, `o${cue}`, words!, 'Old']),
        ],
      },
      { name: 'Comments', rows: [HEADS, ...ROWS] },
    ]),
    has: ['cue', 'topic'],
  },
  {
    name: 'sheet-for-each.xlsx',
    bytes: workbookOf(
      ['Care', 'Feeding', 'Leaving'].map((topic) => ({
        name: topic,
        rows: [
          ['Title', 'Cue', 'Wording'],
          ...WORDINGS.filter((one) => one.topic === topic).map(({ title, cue, words }) => [
            title,
            cue,
            words,
          ]),
        ],
      })),
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'notes-sheet-first.xlsx',
    bytes: workbookOf([
      { name: 'Read me', rows: [['How to use this workbook'], ['Ask Imke before you change anything.']] },
      { name: 'Comments', rows: [HEADS, ...ROWS] },
    ]),
    has: ['cue', 'topic'],
  },
  {
    name: 'empty-columns.xlsx',
    bytes: sheet([
      ['', 'Title', '', 'Text', '', 'Abbreviation'],
      ...WORDINGS.map(({ title, cue, words }) => ['', title, '', words, '', cue]),
    ]),
    has: ['cue'],
  },
  { name: 'table.docx', bytes: docxOf([docxTable([HEADS, ...ROWS])]), has: ['cue', 'topic'] },
  {
    name: 'table-among-words.docx',
    bytes: docxOf([
      { text: 'Our comments', heading: 1 },
      { text: 'Please use these as they are and tell Odile what is missing.' },
      docxTable([
        ['Code', 'Comment', 'When to use'],
        ...WORDINGS.map(({ cue, words, title }) => [cue, words, title]),
      ]),
    ]),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'table-for-each-topic.docx',
    bytes: docxOf(
      ['Care', 'Feeding', 'Leaving'].flatMap((topic) => [
        { text: topic, heading: 2 },
        docxTable([
          ['Name', 'Text'],
          ...WORDINGS.filter((one) => one.topic === topic).map(({ title, words }) => [title, words]),
        ]),
      ]),
    ),
    has: ['topic'],
  },
  {
    name: 'table-within-table.docx',
    bytes: docxOf([
      {
        table: [
          [cell('Title'), cell('Wording')],
          ...WORDINGS.map(({ title, words }): MadeBlock[][] => [
            cell(title),
            [{ text: words }, docxTable([['Tried', 'twice']])],
          ]),
        ],
      },
    ]),
    extra: /Tried\s+twice/,
  },
  { name: 'table.odt', bytes: odtOf([docxTable([HEADS, ...ROWS])]), has: ['cue', 'topic'] },
  {
    name: 'table.html',
    bytes: utf8(
      `<!doctype html><html><body><h1>Comments</h1><table><thead><tr>${HEADS.map((head) => `<th>${head}</th>`).join('')}</tr></thead><tbody>${ROWS.map((row) => `<tr>${row.map((one) => `<td>${one}</td>`).join('')}</tr>`).join('')}</tbody></table></body></html>`,
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'table.md',
    bytes: utf8(
      `# Comments\n\n| ${HEADS.join(' | ')} |\n|---|---|---|---|\n${ROWS.map((row) => `| ${row.join(' | ')} |`).join('\n')}\n`,
    ),
    has: ['cue', 'topic'],
  },
];
