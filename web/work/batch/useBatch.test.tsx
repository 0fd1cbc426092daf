import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { Batch, BatchRow, RowChange } from '#contracts';
import { KEYS, queryClient } from '../../api';
import { asking } from '../../testing/settled';
import { useBatch, useRowChanges } from './useBatch';

const row = (id: string, more: Partial<BatchRow> = {}): BatchRow => ({
  ...{ id, position: Number(id), version: 1, cells: [], enquiry: null, file: null, entry: null },
  ...{ isHeld: false, checked: null, byHand: null, gone: null, goneAt: null, sending: null },
  ...more,
});

/** What the server has, and what is asked of it and not answered yet. */
let server: BatchRow[];
let waiting: (() => void)[];
const realFetch = globalThis.fetch;

beforeEach(() => {
  queryClient.clear();
  server = [row('0'), row('1')];
  waiting = [];
  globalThis.fetch = ((_path: string, init?: { body?: string; method?: string; signal?: AbortSignal }) => {
    const answered = (json: unknown) =>
      ({ ok: true, status: 200, json: () => Promise.resolve(json) }) as Response;
    if (init?.method === 'POST' || init?.method === 'PUT' || init?.method === 'PATCH') {
      const { changes } = JSON.parse(init.body!) as { changes: RowChange[] };
      return new Promise<Response>((resolve) =>
        waiting.push(() => {
          server = server.map((one) => {
            const change = changes.find(({ row: id }) => id === one.id);
            return change ? { ...one, checked: change.checked ?? one.checked } : one;
          });
          resolve(answered({ rows: server.filter(({ id }) => changes.some((one) => one.row === id)) }));
        }),
      );
    }
    // As it is when it is asked: the answer comes later.
    const then = { setup: null, version: 1, rows: server } as unknown as Batch;
    return new Promise<Response>((resolve) => waiting.push(() => resolve(answered(then))));
  }) as typeof fetch;
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

/** Answers what was asked first. */
const answer = () =>
  act(async () => {
    waiting.shift()?.();
    for (let turn = 0; turn < 5; turn += 1) await new Promise((go) => setTimeout(go));
  });
const shown = () => queryClient.getQueryData<Batch>(KEYS.batch('b'))?.rows.map(({ checked }) => checked);

test('what is checked stays so, whatever answer of before comes late; and what colleagues did is heard after it', async () => {
  const page = renderHook(() => ({ batch: useBatch('b'), changes: useRowChanges('b') }), {
    wrapper: asking,
  });
  await answer();
  await waitFor(() => expect(shown()).toEqual([null, null]));
  // Something was changed, and all is asked for anew; before that is answered a letter is checked.
  act(() => void queryClient.invalidateQueries({ queryKey: KEYS.batch('b') }));
  await act(async () => {
    page.result.current.changes.mutate([{ row: '0', checked: 'seal' }]);
    for (let turn = 0; turn < 5; turn += 1) await new Promise((go) => setTimeout(go));
  });
  expect(shown()).toEqual(['seal', null]);
  // The answer of before.
  await answer();
  expect(shown()).toEqual(['seal', null]);
  // A colleague checks the other; then the change arrives, and all is heard.
  server = [server[0]!, row('1', { checked: 'theirs' })];
  await answer();
  await answer();
  await waitFor(() => expect(shown()).toEqual(['seal', 'theirs']));
});

test('all that is asked for anew while a change is on its way takes it back as little', async () => {
  const page = renderHook(() => ({ batch: useBatch('b'), changes: useRowChanges('b') }), {
    wrapper: asking,
  });
  await answer();
  await waitFor(() => expect(shown()).toEqual([null, null]));
  await act(async () => {
    page.result.current.changes.mutate([{ row: '0', checked: 'seal' }]);
    for (let turn = 0; turn < 5; turn += 1) await new Promise((go) => setTimeout(go));
  });
  // News of something else: the server answers as it is before the change.
  act(() => void queryClient.invalidateQueries({ queryKey: KEYS.batch('b') }));
  await answer();
  await answer();
  expect(shown()).toEqual(['seal', null]);
  await answer();
  expect(shown()).toEqual(['seal', null]);
});
