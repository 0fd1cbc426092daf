import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { remembering } from '.';

/** A function that answers with the length of words in a box, and what it was asked. */
function counting(most: number) {
  const asked: string[] = [];
  const ask = remembering((words) => {
    asked.push(words);
    return { length: words.length };
  }, most);
  return { ask, asked };
}

test('what was asked lately is not worked out again; the very same answer comes', () => {
  const { ask, asked } = counting(100);
  const first = ask('It ate.');
  expect(ask('It ate.')).toBe(first);
  expect(asked).toEqual(['It ate.']);
});

test('it answers as the function does, whatever comes in which order; of lines that fit each is worked out once', () => {
  const lines = fc.array(fc.constantFrom('', 'a', 'ab', 'abc', 'abcd', 'abcde'), { maxLength: 60 });
  fc.assert(
    fc.property(lines, fc.integer({ min: 0, max: 30 }), (all, most) => {
      const { ask, asked } = counting(most);
      expect(all.map((one) => ask(one).length)).toEqual(all.map(({ length }) => length));
      if (most >= 15) expect(asked).toHaveLength(new Set(all).size);
    }),
  );
});

test('a text that is gone through again and again with one other line is worked out by that line alone', () => {
  const { ask, asked } = counting(1000);
  const lines = Array.from({ length: 100 }, (_, at) => `line ${at}.`);
  for (const line of lines) ask(line);
  for (let key = 0; key < 20; key += 1)
    for (const line of lines.with(50, `line 50 ${'x'.repeat(key)}`)) ask(line);
  expect(asked).toHaveLength(120);
});

test('words of long ago are forgotten', () => {
  const { ask, asked } = counting(10);
  for (const words of ['first', 'second', 'third', 'fourth', 'first']) ask(words);
  expect(asked.filter((words) => words === 'first')).toHaveLength(2);
});
