import { expect, test } from '@jest/globals';
import type { Submission } from '#core/submission';
import { keyOfSign, nextSign, openSigns, type SignShown } from './openSigns';

const at = (block: number, from: number, to: number) => ({
  from: { block, at: from },
  to: { block, at: to },
});
const shown = (entry: string, block: number, from: number, to: number): SignShown => ({
  ...{ entry, on: at(block, from, to) },
  key: `${entry} ${block} ${from}`,
});
const all = [shown('a', 0, 4, 8), shown('b', 0, 6, 9), shown('a', 2, 0, 3)];
const keys = (signs: readonly SignShown[]) => signs.map(({ key }) => key);

test('pointed out in reading order, but for what was let be and what has a comment of the same entry on its words', () => {
  expect(keys(openSigns([...all].reverse(), [], []))).toEqual(['a 0 4', 'b 0 6', 'a 2 0']);
  expect(keys(openSigns(all, ['b 0 6'], []))).toEqual(['a 0 4', 'a 2 0']);
  expect(keys(openSigns(all, [], [{ entry: 'a', on: at(0, 0, 5) }]))).toEqual(['b 0 6', 'a 2 0']);
  // Words that only touch share nothing.
  expect(keys(openSigns(all, [], [{ entry: 'a', on: at(0, 0, 4) }]))).toHaveLength(3);
});

test('walked from the one at hand, else from where one reads; none behind the last', () => {
  expect(nextSign(all, 'a 0 4', { block: 9, at: 0 })?.key).toBe('b 0 6');
  expect(nextSign(all, null, { block: 0, at: 5 })?.key).toBe('b 0 6');
  expect(nextSign(all, 'gone', { block: 1, at: 0 })?.key).toBe('a 2 0');
  expect(nextSign(all, 'a 2 0', { block: 0, at: 0 })).toBeNull();
});

test('a place that was let be is known again in another version, where its words and what stands before them are the same', () => {
  const of = (...lines: string[]): Submission => ({
    ...{ version: 1, comments: [] },
    blocks: lines.map((text) => ({ kind: 'paragraph', spans: [{ text }] })),
  });
  const before = keyOfSign(of('It was very wet.'), 'e', at(0, 7, 11));
  expect(keyOfSign(of('New.', 'It was very wet.'), 'e', at(1, 7, 11))).toBe(before);
  expect(keyOfSign(of('He was very wet.'), 'e', at(0, 7, 11))).not.toBe(before);
  expect(keyOfSign(of('It was very wet.'), 'f', at(0, 7, 11))).not.toBe(before);
});
