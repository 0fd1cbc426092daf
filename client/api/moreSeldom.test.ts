import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { moreSeldom } from './moreSeldom';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('what leads to its being asked for again is done less and less often, and never more than once a minute in the end', () => {
  const done: number[] = [];
  const begun = Date.now();
  const seldom = moreSeldom(() => {
    done.push(Math.round((Date.now() - begun) / 1000));
    setTimeout(seldom.ask, 50);
  });
  seldom.ask();
  jest.advanceTimersByTime(300_000);
  expect(done).toEqual([0, 1, 3, 7, 15, 31, 63, 123, 183, 243]);
});

test('asked for once in a while it is done at once, each time; asked for thrice in between it is done once more', () => {
  let done = 0;
  const seldom = moreSeldom(() => (done += 1));
  for (let at = 0; at < 3; at += 1) {
    seldom.ask();
    expect(done).toBe(at + 1);
    jest.advanceTimersByTime(10_000);
  }
  for (let at = 0; at < 4; at += 1) seldom.ask();
  expect(done).toBe(4);
  jest.advanceTimersByTime(10_000);
  expect(done).toBe(5);
  // Having rested it is as it was at first.
  seldom.ask();
  expect(done).toBe(6);
});

test('stopped, it does nothing more of what was asked for', () => {
  let done = 0;
  const seldom = moreSeldom(() => (done += 1));
  seldom.ask();
  seldom.ask();
  seldom.stop();
  jest.advanceTimersByTime(100_000);
  expect(done).toBe(1);
});
