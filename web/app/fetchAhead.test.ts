import { afterEach, expect, jest, test } from '@jest/globals';
import { fetchAhead } from './fetchAhead';

afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'requestIdleCallback');
});

test('screens are fetched one after another, none while somebody waits, and one that fails stops none', async () => {
  jest.useFakeTimers();
  globalThis.requestIdleCallback = ((then: () => void) => setTimeout(then)) as never;
  let isBusy = true;
  let arrived = () => {};
  const asked: string[] = [];
  const done = fetchAhead(
    [
      () => (asked.push('leaf'), new Promise<void>((resolve) => (arrived = resolve))),
      () => (asked.push('sheet'), Promise.reject(new Error('gone'))),
      () => (asked.push('entry'), Promise.resolve()),
    ],
    () => isBusy,
  );
  await jest.advanceTimersByTimeAsync(10_000);
  expect(asked).toEqual([]);
  isBusy = false;
  await jest.advanceTimersByTimeAsync(10_000);
  expect(asked).toEqual(['leaf']);
  arrived();
  await jest.advanceTimersByTimeAsync(10_000);
  expect(asked).toEqual(['leaf', 'sheet', 'entry']);
  await done;
});
