import { expect, test } from '@jest/globals';
import type { Inline } from '#core/passage';
import { summaryOf, type Turn } from '.';

const turn = (at: number | null, ...line: Inline[]): Turn => ({ speaker: 'a', at, lines: [line] });
const TURNS = [
  turn(0, { type: 'text', text: 'One.' }),
  turn(20_000, { type: 'text', text: 'Two.', marks: [{ type: 'heard', attrs: { at: 25_000 } }] }),
  turn(null, { type: 'timeCode', attrs: { at: 30_000, unclear: true, text: '' } }),
];

test.each([
  // A line of 65 is one, of 66 two; a line end is no character.
  [
    'x'.repeat(65),
    TURNS,
    90_000,
    { words: 2, characters: 65, lines: 1, done: 30_000, left: 60_000, pace: 4 },
  ],
  [`${'x'.repeat(65)}\ny`, TURNS, 90_000, { words: 2, characters: 66, lines: 2, pace: 4 }],
  ['É e\u0301 👍', [], 90_000, { words: 3, characters: 6, done: 0, left: 90_000, pace: null }],
  // A time past the end is not more than all.
  ['a b', TURNS, 25_000, { done: 25_000, left: 0 }],
  ['a b', TURNS, null, { done: 30_000, left: null }],
  ['', [], null, { words: 0, characters: 0, lines: 0, done: 0, left: null, pace: null }],
])('what %j comes to', (text, turns, length, expected) => {
  expect(summaryOf(text, turns, length)).toMatchObject(expected);
});
