import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { useQuery } from '@tanstack/react-query';
import { act, cleanup, renderHook } from '@testing-library/react';
import { asking } from '../testing/settled';
import { queryClient } from './queries';
import { useMergedSetup } from './useMergedSetup';

interface Setup {
  rules: readonly string[];
}
interface There {
  setup: Setup;
  version: number;
}
const KEY = ['case', 'b', 'batch'];

/** What the server has, and what is asked of it and not answered yet. */
let server: There;
let waiting: (() => void)[];
beforeEach(() => {
  queryClient.clear();
  server = { setup: { rules: [] }, version: 1 };
  waiting = [];
});
afterEach(cleanup);

/** As it is when it is asked: the answer comes later. */
const read = () => {
  const then = server;
  return new Promise<There>((resolve) => waiting.push(() => resolve(then)));
};
const send = (setup: Setup, version: number) =>
  new Promise<{ version: number }>((resolve) =>
    waiting.push(() => {
      server = { setup, version: version + 1 };
      resolve({ version: version + 1 });
    }),
  );
const turns = async () => {
  for (let turn = 0; turn < 5; turn += 1) await new Promise((go) => setTimeout(go));
};
/** Answers what was asked at this place: first of all where none is named. */
const answer = (at = 0) =>
  act(async () => {
    waiting.splice(at, 1)[0]?.();
    await turns();
  });

const opened = async () => {
  const page = renderHook(
    () => ({
      asked: useQuery({ queryKey: KEY, queryFn: read }),
      change: useMergedSetup<Setup>(KEY, { read, send }),
    }),
    { wrapper: asking },
  );
  await answer();
  return {
    keep: (...rules: string[]) =>
      act(async () => {
        page.result.current.change.keep({ rules });
        await turns();
      }),
    shown: () => page.result.current.asked.data?.setup.rules,
  };
};
/** News of something else: all is asked for, as it is at this moment. */
const heard = () => act(() => void queryClient.invalidateQueries({ queryKey: KEY }));

test.each([
  ['before the change was answered', [1, 0]],
  ['after it', [0, 0]],
] as const)('an answer of before that comes %s takes nothing back', async (_when, order) => {
  const page = await opened();
  await page.keep('yes');
  heard();
  for (const at of order) await answer(at);
  expect(page.shown()).toEqual(['yes']);
  // What was on its way is asked for again, and is as it was kept.
  while (waiting.length > 0) await answer();
  expect(page.shown()).toEqual(['yes']);
  await page.keep('yes', 'no');
  await answer();
  expect(server).toEqual({ setup: { rules: ['yes', 'no'] }, version: 3 });
});

test('a change that follows at once holds while the one before it is answered', async () => {
  const page = await opened();
  await page.keep('yes');
  await page.keep('yes', 'no');
  await answer();
  expect(page.shown()).toEqual(['yes', 'no']);
  await answer();
  expect([page.shown(), server.setup.rules]).toEqual([
    ['yes', 'no'],
    ['yes', 'no'],
  ]);
});
