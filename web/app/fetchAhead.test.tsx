import { afterEach, expect, jest, test } from '@jest/globals';
import { fetchAhead } from './fetchAhead';

afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'requestIdleCallback');
  Reflect.deleteProperty(navigator, 'connection');
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

test('where data is saved no screen is fetched ahead', async () => {
  globalThis.requestIdleCallback = ((then: () => void) => setTimeout(then)) as never;
  const connection = { saveData: true };
  Object.defineProperty(navigator, 'connection', { value: connection, configurable: true });
  const screen = jest.fn(() => Promise.resolve());
  await fetchAhead([screen], () => false);
  expect(screen).not.toHaveBeenCalled();
  connection.saveData = false;
  await fetchAhead([screen], () => false);
  expect(screen).toHaveBeenCalledTimes(1);
});
