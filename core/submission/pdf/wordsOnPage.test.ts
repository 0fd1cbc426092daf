import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { PdfRun } from './pdfPage';
import { wordsOnPage } from './wordsOnPage';

const run = (text: string, x: number, y: number, change: Partial<PdfRun> = {}): PdfRun => ({
  ...{ text, x, y, width: text.length * 5, size: 10, angle: 0, font: 'f' },
  ...{ isBold: false, isItalic: false, isRtl: false, ...change },
});
/** Where each place begins and ends along its lines. */
const spans = (runs: readonly PdfRun[], words: string) =>
  wordsOnPage(runs, words).map((quads) =>
    quads.map(([from, to]) => [Math.round(from.x), Math.round(to.x), Math.round(from.y)]),
  );

test.each([
  ['within a run', [run('Fire door', 100, 50)], 'door', [[[125, 145, 42]]]],
  ['without capitals and accents', [run('ÉTAGE', 0, 50)], 'étage', [[[0, 25, 42]]]],
  ['several times', [run('ward, Ward', 0, 50)], 'ward', [[[0, 20, 42]], [[30, 50, 42]]]],
  ['over runs that stand apart', [run('Fire', 0, 50), run('door', 30, 50)], 'fire  door', [[[0, 50, 42]]]],
  ['over runs that touch', [run('Fi', 0, 50), run('re', 10, 50)], 'fire', [[[0, 20, 42]]]],
  [
    'over the end of a line',
    [run('the fire', 0, 50), run('door', 0, 65)],
    'fire door',
    [
      [
        [20, 40, 42],
        [0, 20, 57],
      ],
    ],
  ],
  [
    'in a word that is parted',
    [run('a treat-', 0, 50), run('ment', 0, 65)],
    'treatment',
    [
      [
        [10, 35, 42],
        [0, 20, 57],
      ],
    ],
  ],
  ['a hyphen before a capital stays', [run('Hollin-', 0, 50), run('Marsh', 0, 65)], 'hollinmarsh', []],
  ['not where it is not', [run('Fire door', 0, 50)], 'window', []],
  ['nothing for spaces', [run('Fire door', 0, 50)], '  ', []],
  ['nothing on an empty page', [], 'door', []],
])('words are found %s', (_case, runs, words, places) => {
  expect(spans(runs, words)).toEqual(places);
});

test('on a line that runs upwards the shape is turned with it', () => {
  const [quad] = wordsOnPage([run('Fire door', 50, 200, { angle: -Math.PI / 2 })], 'door').flat();
  expect(quad!.slice(0, 2)).toEqual([
    { x: expect.closeTo(41.8), y: expect.closeTo(175) },
    { x: expect.closeTo(41.8), y: expect.closeTo(155) },
  ]);
});

test('whatever a page says, each of its words is found on it, within its run', () => {
  const words = fc.array(fc.stringMatching(/^[a-zé]{1,8}$/), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(words, fc.nat(7), (all, pick) => {
      const runs = all.map((text, at) => run(text, 0, 20 * at));
      const at = pick % all.length;
      const places = wordsOnPage(runs, all[at]!).flat();
      const quad = places.find(([from]) => Math.abs(from.y - (20 * at - 8.2)) < 0.1);
      return quad !== undefined && quad[0].x >= 0 && quad[1].x <= runs[at]!.width + 0.001;
    }),
  );
});
