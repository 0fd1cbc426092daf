import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PLACE_SIGN, SubmissionSchema, wordsOfBlock } from '../submission';
import type { PdfPage, PdfRun } from './pdfPage';
import { quadsOn } from './quadsOn';
import { readPdf } from './readPdf';

/** Letters of these tests are half as wide as they are high. */
const SIZE = 12;
const widthOf = (text: string, size = SIZE) => (text.length * size) / 2;

const run = (text: string, x: number, y: number, own: Partial<PdfRun> = {}): PdfRun => ({
  ...{ text, x, y, width: widthOf(text, own.size), size: SIZE, angle: 0, font: 'f' },
  ...{ isBold: false, isItalic: false, isRtl: false, ...own },
});
const page = (...runs: PdfRun[]): PdfPage => ({ runs, remarks: [] });
/** Lines beneath each other, from the left edge at 70. */
const lines = (texts: readonly string[], from = 100, apart = 15): PdfRun[] =>
  texts.map((text, at) => run(text, 70, from + apart * at));

const told = (...pages: PdfPage[]) =>
  readPdf(pages).submission.blocks.map((block) => {
    const label = block.label === undefined ? '' : `${block.label} `;
    const cell = block.cell ? `[${block.cell.row},${block.cell.column}] ` : '';
    return `${block.kind === 'paragraph' ? '' : `${block.kind}: `}${cell}${label}${wordsOfBlock(block)}`;
  });

const A = 'The marsh below the boathouse floods twice a day and dries twice';
const B = 'a day, and nothing on it stays where it was.';
const C = 'We walked the transect twice, once in March and once in the first';
const D = 'week of April.';

describe('the words of a PDF', () => {
  test.each<[string, PdfPage[], string[]]>([
    ['lines of one paragraph', [page(...lines([A, B]))], [`${A} ${B}`]],
    ['a gap between two', [page(...lines([A, B]), ...lines([C, D], 138))], [`${A} ${B}`, `${C} ${D}`]],
    ['a line that ends early ends its paragraph', [page(...lines([A, B, C, D]))], [`${A} ${B}`, `${C} ${D}`]],
    [
      'a first line that stands in',
      [
        page(
          ...lines([A, `${B.slice(0, -1)} in autumn.`]),
          run(C.slice(0, -6), 90, 130),
          run(`first ${D}`, 70, 145),
        ),
      ],
      [`${A} ${B.slice(0, -1)} in autumn.`, `${C} ${D}`],
    ],
    [
      'a paragraph that goes on overleaf',
      [page(...lines([C, A], 700)), page(...lines([B]))],
      [`${C} ${A} ${B}`],
    ],
    ['two columns', [page(...lines([A, B]), run(C, 500, 100), run(D, 500, 115))], [`${A} ${B}`, `${C} ${D}`]],
    [
      'runs of one line, with and without a space between them',
      [page(run('The ', 70, 100), run('tid', 94, 100), run('al', 112, 100), run('flat', 130, 100))],
      ['The tidal flat'],
    ],
    [
      'a raised number',
      [page(run('as others say', 70, 100), run('3', 148, 95, { size: 7 }), run('.', 152, 100))],
      ['as others say3.'],
    ],
    ['letters drawn twice to be bold', [page(run('Method', 70, 100), run('Method', 70.4, 100))], ['Method']],
    [
      'headings by their size',
      [
        page(
          run('Salt and mud', 70, 60, { size: 20 }),
          run('Method', 70, 85, { size: 15 }),
          ...lines([A, B], 110),
        ),
      ],
      ['heading: Salt and mud', 'heading: Method', `${A} ${B}`],
    ],
    [
      'a heading in bold letters of the same size',
      [page(run('Method', 70, 85, { isBold: true, font: 'b' }), ...lines([A, B], 100))],
      ['heading: Method', `${A} ${B}`],
    ],
    [
      'items of a list, each by its sign',
      [page(run('•', 80, 100), run(A, 95, 100), run(B, 95, 115), run('2) ', 80, 130), run(D, 95, 130))],
      [`item: • ${A} ${B}`, `item: 2) ${D}`],
    ],
    [
      'a number at the start of a line is no item within a sentence',
      [
        page(
          ...lines([
            'It was the first day of the long and the very cold spring of the',
            '1999. Then it rained and rained',
          ]),
        ),
      ],
      ['It was the first day of the long and the very cold spring of the 1999. Then it rained and rained'],
    ],
    [
      'rows of a table',
      [page(run('Bend', 70, 100), run('Holes', 200, 100), run('1', 70, 115), run('13', 200, 115))],
      ['[0,0] Bend', '[0,1] Holes', '[1,0] 1', '[1,1] 13'],
    ],
    [
      'footnotes come last',
      [
        page(
          ...lines([C, A], 100),
          run('1', 70, 200, { size: 8 }),
          run(' From the board.', 76, 200, { size: 9 }),
        ),
        page(...lines([B])),
      ],
      [`${C} ${A} ${B}`, 'note: 1 From the board.'],
    ],
    [
      'running heads and numbers of pages',
      [1, 2, 3].map((n) => page(run(`Survey ${n}`, 70, 30), ...lines([A, B]), run(`${n}`, 300, 800))),
      [`${A} ${B}`, `${A} ${B}`, `${A} ${B}`],
    ],
    [
      'numbers of two pages',
      [1, 2].map((n) => page(...lines([A, B]), run(`${n}`, 300, 800))),
      [`${A} ${B}`, `${A} ${B}`],
    ],
    [
      'words from right to left, in whichever order they are drawn',
      [page(run('עולם', 70, 100, { isRtl: true }), run('שלום', 100, 100, { isRtl: true }))],
      ['שלום עולם'],
    ],
    [
      'a page turned by a quarter',
      [page(run(A, 100, 70, { angle: Math.PI / 2 }), run(B, 85, 70, { angle: Math.PI / 2 }))],
      [`${A} ${B}`],
    ],
    ['a page without words', [page(...lines([A, B])), page()], [`${A} ${B}`, PLACE_SIGN]],
    ['what no store can hold', [page(run('tide\u0000gauge \uD800x', 70, 100))], ['tide gauge \uFFFDx']],
  ])('%s', (_what, pages, wanted) => {
    expect(told(...pages)).toEqual(wanted);
  });

  const hyphenated = (count: number) =>
    page(
      ...lines([
        ...Array.from(
          { length: count },
          () => 'it was in the end a matter of how long the waters had stood in mea-',
        ),
        'sured places, or of a well-known pair of nets that were in the well-',
        'known reeds.',
      ]),
    );
  test('words parted at the ends of lines are put together where that is often done, and compounds are kept', () => {
    expect(told(hyphenated(3))[0]).toContain('stood in measured places');
    expect(told(hyphenated(3))[0]).toContain('in the well-known reeds');
    expect(told(hyphenated(1))[0]).toContain('stood in mea-sured places');
    expect(told(page(...lines(['The marsh floods twi\u00AD', 'ce.'])))).toEqual(['The marsh floods twice.']);
  });
});

const anyRun = fc
  .record({
    text: fc.string({
      unit: fc.constantFrom('a', 'b', 'Z', '.', '-', ' ', '\u00AD', '7', '•', 'ש'),
      minLength: 1,
      maxLength: 12,
    }),
    x: fc.integer({ min: 0, max: 500 }),
    y: fc.integer({ min: 0, max: 60 }).map((row) => row * 13),
    size: fc.constantFrom(8, 12, 12, 12, 18),
    isRtl: fc.boolean(),
  })
  .map(({ text, x, y, ...own }) => run(text, x, y, own));
const anyPages = fc.array(
  fc.array(anyRun, { maxLength: 25 }).map((runs) => page(...runs)),
  { minLength: 1, maxLength: 2 },
);

describe('any pages', () => {
  test('each piece says truly where its words stand, and pieces neither overlap nor run backwards', () => {
    fc.assert(
      fc.property(anyPages, (pages) => {
        const { submission, pieces } = readPdf(pages);
        expect(SubmissionSchema.safeParse(submission).success).toBe(true);
        const words = submission.blocks.map(wordsOfBlock);
        let [block, at] = [0, 0];
        for (const piece of pieces) {
          expect(piece.block > block || (piece.block === block && piece.at >= at)).toBe(true);
          [block, at] = [piece.block, piece.at + piece.length];
          if (piece.run === null) continue;
          const drawn = pages[piece.page]!.runs[piece.run]!.text.slice(piece.from, piece.from + piece.length);
          expect(words[piece.block]!.slice(piece.at, at)).toBe(drawn);
        }
      }),
    );
  });

  test('no letter is lost but hyphens, labels and what was drawn twice', () => {
    fc.assert(
      fc.property(anyPages, (pages) => {
        const { submission } = readPdf(pages);
        const count = (text: string) => text.match(/Z/g)?.length ?? 0;
        const read = submission.blocks.map((block) => count(`${block.label ?? ''}${wordsOfBlock(block)}`));
        const twice = pages.some(({ runs }) => new Set(runs.map(({ text }) => text)).size < runs.length);
        const drawn = pages.flatMap(({ runs }) => runs.map(({ text }) => count(text)));
        const sum = (all: number[]) => all.reduce((a, b) => a + b, 0);
        fc.pre(!twice);
        expect(sum(read)).toBe(sum(drawn));
      }),
    );
  });

  test('what a word covers lies on its run', () => {
    fc.assert(
      fc.property(anyPages, fc.nat(), (pages, pick) => {
        const read = readPdf(pages);
        const ofRuns = read.pieces.filter(({ run: index }) => index !== null);
        fc.pre(ofRuns.length > 0);
        const piece = ofRuns[pick % ofRuns.length]!;
        const on = {
          from: { block: piece.block, at: piece.at },
          to: { block: piece.block, at: piece.at + piece.length },
        };
        const [found] = quadsOn(read, pages, on);
        const { x, y, width, size } = pages[piece.page]!.runs[piece.run!]!;
        expect([found!.page, found!.quads.length]).toEqual([piece.page, 1]);
        const [upperLeft, upperRight, lowerLeft] = found!.quads[0]!;
        expect(upperLeft.x).toBeGreaterThanOrEqual(x - 0.01);
        expect(upperRight.x).toBeLessThanOrEqual(x + width + 0.01);
        expect(upperRight.x).toBeGreaterThan(upperLeft.x);
        expect(upperLeft.y).toBeLessThan(y);
        expect(lowerLeft.y).toBeGreaterThan(y);
        expect(lowerLeft.y - upperLeft.y).toBeLessThan(1.2 * size);
      }),
    );
  });
});
