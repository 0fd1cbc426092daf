import { expect, test } from '@jest/globals';
import { renderHook } from '@testing-library/react';
import fc from 'fast-check';
import { useRowKeys } from './useRowKeys';

type Row = { label: string };
const rows = (...labels: string[]): Row[] => labels.map((label) => ({ label }));
const used = (first: Row[]) => {
  const { result, rerender } = renderHook(({ list }) => useRowKeys(list), { initialProps: { list: first } });
  return { keys: () => result.current, now: (list: Row[]) => (rerender({ list }), result.current) };
};

test('a row that is typed over stays the one it was, letter by letter', () => {
  const list = used(rows('Worming', 'Weighing'));
  const before = list.keys();
  expect(list.now(rows('Worming!', 'Weighing'))).toEqual(before);
  expect(list.now(rows('', 'Weighing'))).toEqual(before);
  // Both alike for a moment.
  expect(list.now(rows('Weighing', 'Weighing'))).toHaveLength(2);
});

test('what a colleague puts in or takes out above moves the keys along', () => {
  const list = used(rows('Worming', 'Weighing'));
  const [worming, weighing] = list.keys();
  const more = list.now(rows('Dental', 'Worming', 'Weighing'));
  expect(more.slice(1)).toEqual([worming, weighing]);
  expect([worming, weighing]).not.toContain(more[0]);
  expect(list.now(rows('Weighing'))).toEqual([weighing]);
  expect(list.now([])).toEqual([]);
  // A key that a row had once is not given to another that comes in later.
  expect(list.now(rows('New'))).not.toContain(worming);
});

test('no two rows ever have one key', () => {
  const lists = fc.array(fc.array(fc.constantFrom('a', 'b', 'c'), { maxLength: 5 }), { maxLength: 6 });
  fc.assert(
    fc.property(lists, ([first = [], ...rest]) => {
      const list = used(rows(...first));
      for (const labels of rest) {
        const keys = list.now(rows(...labels));
        expect(keys).toHaveLength(labels.length);
        expect(new Set(keys).size).toBe(labels.length);
      }
    }),
  );
});
