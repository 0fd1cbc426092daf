import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { keptHere } from '../testing/keptHere';
import { ANSWERS_AT_HAND, closeStore, forgetAnswers, keptAnswer } from '.';
import { keepAnew } from './keepAnew';
import { noteCasesOnComputers } from './onComputers';

const PATH = '/api/cases/c/tray';

beforeEach(async () => {
  await closeStore();
  globalThis.indexedDB = new IDBFactory();
  keptHere();
  await forgetAnswers();
  // Only the wait is played: the store has timers of its own.
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
});
afterEach(() => void jest.useRealTimers());

/** What is kept once everybody has paused. */
async function keptAfterPause(): Promise<unknown> {
  jest.advanceTimersByTime(1000);
  jest.useRealTimers();
  return keptAnswer(PATH);
}

test('of several changes what is known after the last is kept, and read once', async () => {
  let reads = 0;
  let now = 1;
  for (; now < 5; now += 1) {
    keepAnew(PATH, () => ((reads += 1), { lines: now }));
    jest.advanceTimersByTime(200);
  }
  expect(reads).toBe(0);
  expect(await keptAfterPause()).toEqual({ lines: 5 });
  expect(reads).toBe(1);
});

test('nothing is kept of what this window does not know, nor where the team lets no case stay', async () => {
  keepAnew(PATH, () => undefined);
  expect(await keptAfterPause()).toBeUndefined();
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  noteCasesOnComputers('none');
  keepAnew(PATH, () => ({ lines: 1 }));
  expect(await keptAfterPause()).toBeUndefined();
  noteCasesOnComputers(null);
  expect(await keptAnswer(PATH)).toBeUndefined();
});

test('asked for before one has paused, it is as this window knows it', async () => {
  jest.useRealTimers();
  const tray = (version: number) => ({ setup: null, version, lines: [] });
  keepAnew(PATH, () => tray(1));
  await ANSWERS_AT_HAND.at('tray', PATH);
  expect(await keptAnswer(PATH)).toEqual(tray(1));
  keepAnew(PATH, () => tray(2));
  await ANSWERS_AT_HAND.at('tray', PATH);
  expect(await keptAnswer(PATH)).toEqual(tray(2));
});
