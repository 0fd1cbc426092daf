import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { parse } from 'yaml';
import { readPropertyList } from '#core/intake';
import { passageFrom } from '#core/notation';
import { plainPassage, plainText } from '#core/passage';
import { abbreviationList, bankCsv, bankHtmlPage, bankMarkdown, bankPassage, type BankRow } from './index';

const row = (title: string, words: string, more: Partial<BankRow> = {}): BankRow => ({
  ...{ path: ['Ward'], cue: '', title, purpose: '', tags: [] },
  ...{ passage: plainPassage(words), nameOf: (field: string) => field },
  ...more,
});
const WEIGHED = row('Weighed', 'It was weighed.', { cue: ',wt', purpose: 'Each morning', tags: ['scales'] });

test('what a wording works out where it is placed is named in brackets, as its blanks are', () => {
  const passage = passageFrom('\\[inaudible [time unclear]\\] Finding [number list:finding]: see it.');
  const [, , , words] = Papa.parse<string[]>(bankCsv([{ ...row('Inaudible', ''), passage }]).trim()).data[1]!;
  expect(words).toBe('[inaudible [time]] Finding [number]: see it.');
});

/** Words as people write them: several lines, quotes, tabs, signs of formulas, other scripts. */
const anyWords = fc
  .array(
    fc.constantFrom(
      'a',
      'Tide',
      ' ',
      '\n',
      '\t',
      '"',
      "'",
      ',',
      ';',
      ':',
      '-',
      '=1+1',
      '@x',
      '<b>',
      '&',
      'ŵ',
      '😀',
      '#',
      '\\',
      '%',
    ),
    { minLength: 1, maxLength: 12 },
  )
  .map((pieces) => pieces.join('').trim())
  .filter((words) => words !== '');
const anyRows = fc.array(
  fc
    .record({ title: anyWords, words: anyWords, cue: fc.stringMatching(/^[,;a-z]{0,5}$/) })
    .map(({ title, words, cue }) => row(title, words, { cue })),
  { minLength: 1, maxLength: 6 },
);
/** As a cell is written that a spreadsheet would compute with. */
const safe = (text: string) => (/^[=+\-@\t\r]./s.test(text) ? `'${text}` : text);

describe('entries given back', () => {
  test('as comma-separated values that are read as they were written, with nothing to compute', () => {
    fc.assert(
      fc.property(anyRows, (rows) => {
        const { data } = Papa.parse<string[]>(bankCsv(rows).replace(/^\uFEFF/, ''), { skipEmptyLines: true });
        expect(data.slice(1).map(([, cue, title, words]) => [cue, title, words])).toEqual(
          rows.map(({ cue, title, passage }) => [cue, title, plainText(passage)].map(safe)),
        );
        for (const cell of data.flat()) expect(cell).not.toMatch(/^[=+\-@\t\r]./s);
      }),
    );
  });

  test('as lists of abbreviations that every reader of their form reads as they are', () => {
    fc.assert(
      fc.property(anyRows, (rows) => {
        const pairs = rows.flatMap(({ cue, passage }) =>
          cue === '' ? [] : [{ shortcut: cue, phrase: plainText(passage) }],
        );
        expect(JSON.parse(abbreviationList(rows, 'json'))).toEqual(pairs);
        expect(parse(abbreviationList(rows, 'yaml'))).toEqual(pairs);
        const list = (readPropertyList(abbreviationList(rows, 'plist')) as object[]).map((one) => ({
          ...one,
        }));
        expect(list).toEqual(pairs.map(({ shortcut, phrase }) => ({ phrase, shortcut })));
        const lines = abbreviationList(rows, 'tsv')
          .split('\n')
          .filter((line) => line !== '');
        expect(lines.map((line) => line.split('\t')[0])).toEqual(pairs.map(({ shortcut }) => shortcut));
        for (const line of lines) expect(line.split('\t')).toHaveLength(2);
      }),
    );
  });

  test('as Markdown, with heads for collections and titles, and what is said of each', () => {
    expect(bankMarkdown([WEIGHED, row('Fed', 'It *ate*.', { path: ['Ward', 'Birds'] })], 'The bank')).toBe(
      '# The bank\n\n## Ward\n\n### Weighed\n\nCode: ,wt\n\nWhen to use: Each morning\n\nTags: scales\n\nIt was weighed.\n\n## Ward \\> Birds\n\n### Fed\n\nIt \\*ate\\*.\n',
    );
  });

  test('as a page of its own: every word as a word, whatever it says, and nothing from a network', () => {
    const page = bankHtmlPage(
      [row('<script>alert(1)</script>', '</script><img src=x onerror=y>', { cue: '"><' })],
      'A & B',
      'en-GB',
    );
    expect(page).toContain('&lt;script&gt;alert(1)&lt;/script&gt;');
    expect(page).toContain('<p>&lt;/script&gt;&lt;img src=x onerror=y&gt;</p>');
    expect(page.match(/<script/g)).toHaveLength(1);
    expect(page).not.toMatch(/(?:src|href)="?https?:/);
  });

  test('as one text, with a list of all cues at its end', () => {
    const { content } = bankPassage([row('Fed', 'It ate.', { cue: ',zz' }), WEIGHED], 'The bank');
    expect(
      content
        .filter(({ type }) => type === 'heading')
        .map((block) => plainText({ type: 'doc', content: [block] })),
    ).toEqual(['The bank', 'Ward', 'Fed', 'Weighed', 'Cues']);
    expect(plainText({ type: 'doc', content: content.slice(-1) })).toBe(',wt\tWeighed\tWard\n,zz\tFed\tWard');
  });
});
