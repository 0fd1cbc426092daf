import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { Use } from '#contracts';
import { answering, type Sent } from '../testing/answering';
import { keptHere } from '../testing/keptHere';
import { dropUses, tellKeptUses, tellUse } from './counting';

const use = (list: string): Use => ({
  ...{ source: 'entry', list, term: '', times: 1, shown: 0, pressed: 0 },
  brought: { way: 'cue', keys: 3 },
});
const listsOf = (sent: readonly Sent[]) =>
  sent.map(({ body }) => (body as { uses: Use[] }).uses.map(({ list }) => list));

let isReached = true;
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  jest.useFakeTimers();
  keptHere();
  isReached = true;
  ({ sent, restore } = answering(() => {
    if (!isReached) throw new TypeError('no connection');
    return { status: 204, json: undefined };
  }));
});
afterEach(() => {
  restore();
  jest.useRealTimers();
});

test('what could not be told is told with what follows, all of it, however much it is', async () => {
  isReached = false;
  const first = Array.from({ length: 700 }, (_, at) => `e${at}`);
  for (const list of first) tellUse('ruan', 'admission', use(list));
  await jest.advanceTimersByTimeAsync(6000);
  sent.length = 0;
  isReached = true;
  tellUse('ruan', 'admission', use('last'));
  await jest.advanceTimersByTimeAsync(6000);
  expect(listsOf(sent).map(({ length }) => length)).toEqual([500, 201]);
  expect(listsOf(sent).flat()).toEqual([...first, 'last']);
});

test('what a page could not tell before it was closed is told by the next, once, with the day it was of', async () => {
  jest.setSystemTime(new Date('2026-11-29T12:00:00'));
  isReached = false;
  tellUse('ruan', 'admission', use('e1'));
  await jest.advanceTimersByTimeAsync(6000);
  // The next page knows what the computer kept, and nothing else.
  const stayed = localStorage.getItem('elderleaf.uses.ruan')!;
  dropUses('ruan');
  localStorage.setItem('elderleaf.uses.ruan', stayed);
  jest.setSystemTime(new Date('2026-11-30T12:00:00'));
  isReached = true;
  sent.length = 0;
  await tellKeptUses('odile');
  expect(sent).toEqual([]);
  await tellKeptUses('ruan');
  await tellKeptUses('ruan');
  expect(listsOf(sent)).toEqual([['e1']]);
  expect(sent[0]!.body).toMatchObject({ day: '2026-11-29', kind: 'admission' });
});

test('signed out, nothing of it stays', async () => {
  isReached = false;
  tellUse('ruan', 'admission', use('e1'));
  await jest.advanceTimersByTimeAsync(6000);
  dropUses('ruan');
  isReached = true;
  sent.length = 0;
  await tellKeptUses('ruan');
  expect(sent).toEqual([]);
});
