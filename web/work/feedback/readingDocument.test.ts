import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { comparePoints, type TextPoint } from '#core/passage';
import { wordsOfBlock, type Submission, type SubmissionBlock } from '#core/submission';
import { passageToComment } from './passageToComment';
import { pointAt, positionOf, readingDocument } from './readingDocument';

const line = (text: string, more: Partial<SubmissionBlock> = {}): SubmissionBlock => ({
  kind: 'paragraph',
  spans: text === '' ? [] : [{ text }],
  ...more,
});
const cell = (text: string, table: number, row: number, column: number) =>
  line(text, { cell: { table, row, column } });
const of = (...blocks: SubmissionBlock[]): Submission => ({ version: 1, comments: [], blocks });
const at = (block: number, offset: number): TextPoint => ({ block, at: offset });

describe('a submission as it is read', () => {
  test('tables stand as tables, each cell with its lines; what is no words is one place', () => {
    const { doc } = readingDocument(
      of(
        line('Counts'),
        cell('Redshank', 0, 0, 0),
        cell('14', 0, 0, 1),
        cell('or 15', 0, 0, 1),
        cell('Curlew', 0, 1, 0),
        line('', { spans: [{ text: 'See ' }, { place: 'picture', name: 'Map' }] }),
      ),
    );
    expect(doc.toString()).toBe(
      'doc(line("Counts"), table(row(cell(line("Redshank")), cell(line("14"), line("or 15"))), row(cell(line("Curlew")))), line("See ", place))',
    );
  });

  test('one of nothing has a line to stand on', () => {
    const reading = readingDocument(of());
    expect(pointAt(reading, 0)).toEqual(at(0, 0));
    expect(positionOf(reading, at(3, 9))).toBe(1);
  });

  const anyBlock = fc.oneof(
    fc.string({ maxLength: 8 }).map((text) => line(text)),
    fc.nat(3).map((row) => cell('cell', 0, row, 0)),
    fc.constant(line('', { spans: [{ text: 'a' }, { place: 'note', name: '1' }, { text: 'b' }] })),
  );

  test('each place of the words has a position of its own, and is found again there', () => {
    fc.assert(
      fc.property(fc.array(anyBlock, { minLength: 1, maxLength: 6 }), (blocks) => {
        const submission = of(...blocks);
        const reading = readingDocument(submission);
        const seen = new Set<number>();
        blocks.forEach((block, index) => {
          for (let offset = 0; offset <= wordsOfBlock(block).length; offset += 1) {
            const pos = positionOf(reading, at(index, offset));
            expect(pointAt(reading, pos)).toEqual(at(index, offset));
            seen.add(pos);
          }
        });
        const all = blocks.reduce((sum, block) => sum + wordsOfBlock(block).length + 1, 0);
        expect(seen.size).toBe(all);
      }),
    );
  });
});

describe('what a comment that is begun is on', () => {
  const REPORT = of(line('We counted. Twice!'), line(''), line('  Over.  '), line(''));
  const begun = (from: TextPoint, to = from) => passageToComment(REPORT, { from, to }, 'en-GB');

  test.each([
    ['nothing selected: the sentence at the cursor', at(0, 13), at(0, 13), at(0, 12), at(0, 18)],
    ['an empty line: the last sentence before it', at(1, 0), at(1, 0), at(0, 12), at(0, 18)],
    ['selected words, without the space around them', at(0, 2), at(0, 12), at(0, 3), at(0, 11)],
    ['over several lines, without the empty ones at the ends', at(0, 18), at(3, 0), at(2, 2), at(2, 7)],
    ['nothing but space selected: the sentence there', at(2, 0), at(2, 2), at(2, 2), at(2, 7)],
  ])('%s', (_what, from, to, start, end) => {
    expect(begun(from, to)).toEqual({ from: start, to: end });
  });

  test('wherever it is begun, it is on something, and within the words', () => {
    const points = REPORT.blocks.flatMap((block, index) =>
      Array.from({ length: wordsOfBlock(block).length + 1 }, (_, offset) => at(index, offset)),
    );
    for (const [index, from] of points.entries())
      for (const to of points.slice(index)) {
        const range = begun(from, to);
        expect(comparePoints(range.from, range.to)).toBeLessThan(0);
        expect(range.to.at).toBeLessThanOrEqual(wordsOfBlock(REPORT.blocks[range.to.block]!).length);
      }
  });

  test('in a submission of nothing there is nothing to be on', () => {
    expect(passageToComment(of(), { from: at(0, 0), to: at(0, 0) }, 'en-GB')).toEqual({
      from: at(0, 0),
      to: at(0, 0),
    });
  });
});
