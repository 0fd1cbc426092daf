import { expect, jest, test } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { useTypedUntilKept } from './useTypedUntilKept';

const used = (first = 'old') => {
  const keep = jest.fn<(words: string) => void>();
  const { result, rerender } = renderHook(({ kept, isKeeping }) => useTypedUntilKept(kept, keep, isKeeping), {
    initialProps: { kept: first, isKeeping: false },
  });
  return {
    ...{ line: () => result.current, keep },
    isKept: (kept: string, isKeeping = false) => rerender({ kept, isKeeping }),
  };
};

test('what is typed is kept on leaving, and shown until it is kept', () => {
  const { line, keep, isKept } = used();
  act(() => line().type('new'));
  expect(line().words).toBe('new');
  expect(keep).not.toHaveBeenCalled();
  act(() => line().leave());
  expect(keep.mock.calls).toEqual([['new']]);
  expect(line().words).toBe('new');
  isKept('new');
  expect(line().words).toBe('new');
  // Kept, it follows what a colleague changes.
  isKept('theirs');
  expect(line().words).toBe('theirs');
});

test('refused it stays, and is kept once it is left again', () => {
  const { line, keep, isKept } = used();
  act(() => line().type('new'));
  act(() => line().leave());
  // Seen at once, and put back as the server refuses it.
  isKept('new', true);
  expect(line().words).toBe('new');
  isKept('theirs');
  expect(line().words).toBe('new');
  act(() => line().leave());
  expect(keep.mock.calls).toEqual([['new'], ['new']]);
  isKept('new');
  isKept('later');
  expect(line().words).toBe('later');
});

test('letters typed while the words before them are kept stay', () => {
  const { line, isKept } = used();
  act(() => line().type('new'));
  act(() => line().leave());
  act(() => line().type('newer'));
  isKept('new');
  expect(line().words).toBe('newer');
});

test('what can be kept otherwise alone is shown so once it is left', () => {
  const keep = jest.fn<(words: string) => void>();
  const tidied = (words: string) => words.replaceAll(' ', '');
  const { result } = renderHook(() => useTypedUntilKept('ab', keep, false, tidied));
  act(() => result.current.type('a b c'));
  act(() => result.current.leave());
  expect([result.current.words, keep.mock.calls]).toEqual(['abc', [['abc']]]);
  act(() => result.current.type('a b'));
  act(() => result.current.leave());
  expect([result.current.words, keep.mock.calls.length]).toEqual(['ab', 1]);
});

test('nothing is kept where it is left as it was, or given up', () => {
  const { line, keep } = used();
  act(() => line().leave());
  act(() => line().type('old'));
  act(() => line().leave());
  act(() => line().type('new'));
  act(() => line().giveUp());
  act(() => line().leave());
  expect(keep).not.toHaveBeenCalled();
  expect(line().words).toBe('old');
});
