import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { Use } from '#contracts';
import { answering, type Sent } from '../testing/answering';
import { tellUse } from './counting';

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
  for (const list of first) tellUse('admission', use(list));
  await jest.advanceTimersByTimeAsync(6000);
  sent.length = 0;
  isReached = true;
  tellUse('admission', use('last'));
  await jest.advanceTimersByTimeAsync(6000);
  expect(listsOf(sent).map(({ length }) => length)).toEqual([500, 201]);
  expect(listsOf(sent).flat()).toEqual([...first, 'last']);
});
