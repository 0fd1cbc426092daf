import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { digestOf } from './digest';
import { isSame } from './isSame';

test('what is the same has the same digest, and what is not has another', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
      expect(digestOf(one)).toMatch(/^[0-9a-f]{16}$/);
      expect(digestOf(one) === digestOf(other)).toBe(isSame(one, other));
    }),
  );
});

test('a letter more, another order of words and another place for the same letter are told apart', () => {
  const texts = ['', 'a', 'b', 'ab', 'ba', 'aab', 'aba', 'Weigh again.', 'Weigh again', 'again. Weigh'];
  expect(new Set(texts.map(digestOf)).size).toBe(texts.length);
  expect(digestOf({ a: 'x', b: 'y' })).toBe(digestOf({ b: 'y', a: 'x' }));
});

test('ten thousand texts that differ by a number each have a digest of their own', () => {
  const digests = Array.from({ length: 10_000 }, (_, at) => digestOf(`Body weight ${at} g, fed twice.`));
  expect(new Set(digests).size).toBe(10_000);
});
