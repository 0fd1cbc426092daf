import { expect, test } from '@jest/globals';
import {
  isWithin,
  paragraphAt,
  paragraphNumbers,
  sentenceAround,
  SubmissionSchema,
  wordsInSubmission,
  wordsOn,
  type Submission,
  type SubmissionBlock,
} from '.';

const block = (text: string, more: Partial<SubmissionBlock> = {}): SubmissionBlock => ({
  kind: 'paragraph',
  spans: text === '' ? [] : [{ text }],
  ...more,
});
const REPORT: Submission = {
  version: 1,
  comments: [],
  blocks: [
    block('Method', { kind: 'heading', level: 1 }),
    block('We counted. Twice!'),
    block(''),
    block('mud', { kind: 'item', level: 0, label: '•' }),
    block('14', { cell: { table: 0, row: 0, column: 0 } }),
    block('Overcast all day.', { kind: 'note', label: '1' }),
  ],
};

test('paragraphs are counted without headings, empty lines, tables and notes', () => {
  const numbers = paragraphNumbers(REPORT);
  expect(numbers).toEqual([null, 1, null, 2, null, null]);
  expect([0, 1, 2, 3, 4, 99].map((at) => paragraphAt(numbers, at))).toEqual([1, 1, 1, 2, 2, 2]);
});

test('words are those of the text, its headings and tables: not of notes, nor what is tracked as deleted', () => {
  expect(wordsInSubmission(REPORT)).toBe(6);
  const spans: SubmissionBlock['spans'] = [
    { text: 'We ' },
    { text: 'never ', marks: ['deleted'] },
    { text: 'counted' },
  ];
  expect(wordsInSubmission({ ...REPORT, blocks: [{ kind: 'paragraph', spans }] })).toBe(2);
});

test.each([
  ['within the first', 3, 'We counted.'],
  ['right behind it', 11, 'We counted.'],
  ['within the second', 14, 'Twice!'],
  ['at the end of the line', 18, 'Twice!'],
])('the sentence %s', (_what, at, expected) => {
  const words = 'We counted. Twice!';
  const { from, to } = sentenceAround(words, at, 'en-GB');
  expect(words.slice(from, to)).toBe(expected);
});

test('a line of nothing has an empty sentence', () => {
  expect(sentenceAround('', 0, 'en-GB')).toEqual({ from: 0, to: 0 });
  expect(sentenceAround('   ', 2, 'en-GB')).toEqual({ from: 3, to: 3 });
});

test('the words of a stretch, over several lines too', () => {
  const from = { block: 1, at: 12 };
  expect(wordsOn(REPORT, { from, to: { block: 1, at: 17 } })).toBe('Twice');
  expect(wordsOn(REPORT, { from, to: { block: 3, at: 2 } })).toBe('Twice!\n\nmu');
  expect(isWithin(REPORT, { from, to: { block: 3, at: 2 } })).toBe(true);
  expect(isWithin(REPORT, { from, to: { block: 3, at: 4 } })).toBe(false);
  expect(isWithin(REPORT, { from, to: from })).toBe(false);
});

test('a submission of too many characters is refused', () => {
  const long = { ...REPORT, blocks: [block('a'.repeat(4_000_001))] };
  expect(SubmissionSchema.safeParse(REPORT).success).toBe(true);
  expect(SubmissionSchema.safeParse(long).success).toBe(false);
});
