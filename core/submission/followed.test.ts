import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { TextPoint } from '#core/passage';
import { followedRange, wordsBefore, wordsOn, type Submission } from '.';

const of = (...lines: string[]): Submission => ({
  version: 1,
  comments: [],
  blocks: lines.map((text) => ({ kind: 'paragraph', spans: text === '' ? [] : [{ text }] })),
});
const comment = (submission: Submission, from: TextPoint, to: TextPoint) => {
  const on = { from, to };
  return { on, words: wordsOn(submission, on), before: wordsBefore(submission, from) };
};
const REPORT = of('We counted waders at dusk.', 'The tide was low.', 'The tide was high.');
const TIDE = comment(REPORT, { block: 2, at: 4 }, { block: 2, at: 12 });

test.each([
  ['nothing changed', REPORT, { block: 2, at: 4 }],
  [
    'a paragraph came before',
    of('New.', ...['We counted waders at dusk.', 'The tide was low.', 'The tide was high.']),
    { block: 3, at: 4 },
  ],
  [
    'of the same words those before which most is alike',
    of('The tide was low.', 'Then, at noon: The tide was high.'),
    { block: 1, at: 19 },
  ],
  ['the words are gone', of('We counted waders.'), null],
])('%s', (_what, now, from) => {
  const found = followedRange(now, TIDE);
  expect(found?.from ?? null).toEqual(from);
  if (found) expect(wordsOn(now, found)).toBe('tide was');
});

test('a long passage, of which only the first words are kept, is followed as a whole', () => {
  const long = of('x', 'a'.repeat(600), 'b end');
  const all = comment(long, { block: 1, at: 0 }, { block: 2, at: 1 });
  const now = of('y', 'new', 'a'.repeat(600), 'b end');
  expect(followedRange(now, all)).toEqual({ from: { block: 2, at: 0 }, to: { block: 3, at: 1 } });
});

const anyLine = fc.string({ unit: fc.constantFrom('a', 'b', 'c', ' '), maxLength: 20 });

test('whatever is put in, taken out or changed around it, the words of a comment are found again', () => {
  fc.assert(
    fc.property(
      fc.array(anyLine, { maxLength: 5 }),
      fc.array(anyLine, { maxLength: 5 }),
      fc.array(anyLine, { maxLength: 5 }),
      anyLine,
      anyLine,
      (before, other, behind, head, tail) => {
        // Words that stand nowhere else: which of several alike is meant, nobody can say for sure.
        const line = `${head}QUITE SO${tail}`;
        const first = of(...before, line, ...behind);
        const at = { block: before.length, at: head.length };
        const now = of(...other, `${tail}QUITE SO${head}`, ...before);
        const found = followedRange(now, comment(first, at, { ...at, at: at.at + 8 }));
        expect(found).toEqual({
          from: { block: other.length, at: tail.length },
          to: { block: other.length, at: tail.length + 8 },
        });
      },
    ),
  );
});
