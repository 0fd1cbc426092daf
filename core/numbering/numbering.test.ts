import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { NUMBER_FORMS, type NumberForm } from '#core/passage';
import { LOST, numberInForm, numbersOf, type Counted } from '.';

test.each<[number, NumberForm, string]>([
  [3, '1', '3'],
  [3, '01', '03'],
  [12, '01', '12'],
  [1, 'a', 'a'],
  [26, 'a', 'z'],
  [27, 'a', 'aa'],
  [703, 'A', 'AAA'],
  [4, 'i', 'iv'],
  [1994, 'I', 'MCMXCIV'],
  [4000, 'i', '4000'],
  [1, 'One', 'One'],
  [21, 'one', 'twenty-one'],
])('%s in the form %s is %s', (value, form, expected) => {
  expect(numberInForm(value, form)).toBe(expected);
});

const LISTS = ['Finding', 'Action', 'Question'];
const items = fc
  .array(fc.record({ list: fc.constantFrom(...LISTS), form: fc.constantFrom(...NUMBER_FORMS) }), {
    maxLength: 40,
  })
  .map((some) => some.map((one, at): Counted => ({ type: 'number', ...one, id: String(at) })));

describe('numbers', () => {
  test('count each list 1 to n by itself, wherever its items are moved', () => {
    fc.assert(
      fc.property(items, fc.infiniteStream(fc.nat()), (some, random) => {
        const key = new Map(some.map((one) => [one, random.next().value as number]));
        const moved = [...some].sort((a, b) => key.get(a)! - key.get(b)!);
        const texts = numbersOf(moved);
        for (const list of LISTS) {
          const of = moved.flatMap((one, at) => (one.type === 'number' && one.list === list ? [at] : []));
          expect(of.map((at) => texts[at])).toEqual(
            of.map((at, index) => numberInForm(index + 1, (moved[at] as { form: NumberForm }).form)),
          );
        }
      }),
    );
  });

  test('are what references read, and a lost one says so', () => {
    const finding = (id: string): Counted => ({ type: 'number', list: 'Finding', form: 'a', id });
    const texts = numbersOf([
      { type: 'reference', to: 'y' },
      finding('x'),
      finding('y'),
      { type: 'reference', to: 'z' },
    ]);
    expect(texts).toEqual(['b', 'a', 'b', LOST]);
  });
});
