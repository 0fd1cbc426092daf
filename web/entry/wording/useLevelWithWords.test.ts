import { expect, test } from '@jest/globals';
import { topFor } from './useLevelWithWords';

test.each([
  ['level with its line', { line: 250, place: 110, own: 80, window: 800 }, 140],
  ['no higher than its place in the margin', { line: 40, place: 110, own: 80, window: 800 }, 0],
  ['no lower than leaves the reading in view', { line: 700, place: 110, own: 80, window: 800 }, 370],
  ['at its place in a low window', { line: 300, place: 110, own: 80, window: 400 }, 0],
])('%s', (_, { line, place, own, window }, expected) =>
  expect(topFor(line, place, own, window)).toBe(expected),
);
