import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { LineChange, Tray, TrayLine } from '#contracts';
import { newTraySetup } from '#core/naming';
import { KEYS, queryClient } from '../../api';
import { asking } from '../../testing/settled';
import { changeLines, useTray } from './useTray';

const LINE: TrayLine = {
  ...{ id: 'scan', folder: '', name: 'Scan1.tif', bytes: 3, changed: '2026-11-24T10:00:00Z', file: null },
  ...{ position: 0, version: 1, document: null, words: '' },
  ...{ newName: null, namedAt: null, renamed: null, renamedAt: null },
};

/** The line as the server has it, and what is asked of it and not answered yet. */
let line: TrayLine;
let waiting: (() => void)[];
const realFetch = globalThis.fetch;

beforeEach(() => {
  queryClient.clear();
  line = LINE;
  waiting = [];
  globalThis.fetch = ((_path: string, init?: { body?: string; method?: string }) => {
    const answered = (json: unknown) =>
      ({ ok: true, status: 200, json: () => Promise.resolve(json) }) as Response;
    // As it is when it is asked: the answer comes later.
    const then: Tray = { version: 1, setup: newTraySetup(), lines: [line] };
    return new Promise<Response>((resolve) =>
      waiting.push(() => {
        if (init?.method !== 'POST') return resolve(answered(then));
        const [change] = (JSON.parse(init.body!) as { changes: LineChange[] }).changes;
        line = { ...line, newName: change!.newName!, version: line.version + 1 };
        return resolve(answered({ lines: [line] }));
      }),
    );
  }) as typeof fetch;
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

const turns = async () => {
  for (let turn = 0; turn < 5; turn += 1) await new Promise((go) => setTimeout(go));
};
/** Answers what was asked first. */
const answer = () =>
  act(async () => {
    waiting.shift()?.();
    await turns();
  });
const shown = () => queryClient.getQueryData<Tray>(KEYS.tray('post'))?.lines[0]?.newName;

test('a name that is done stays so, whatever answer of before comes late', async () => {
  renderHook(() => useTray('post'), { wrapper: asking });
  await answer();
  await waitFor(() => expect(shown()).toBeNull());
  void changeLines('post', [{ line: 'scan', newName: 'Owls.tif' }]);
  await act(turns);
  // News of an earlier key stroke: the server answers as it is before the name is done.
  act(() => void queryClient.invalidateQueries({ queryKey: KEYS.tray('post') }));
  await answer();
  expect(shown()).toBe('Owls.tif');
  await answer();
  expect(shown()).toBe('Owls.tif');
  await answer();
  expect(shown()).toBe('Owls.tif');
});
