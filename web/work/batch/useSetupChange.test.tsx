import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { Batch } from '#contracts';
import { emptySetup, type BatchSetup } from '#core/batch';
import { answering, refusal, type Sent } from '../../../client/testing/answering';
import { KEYS, queryClient } from '../../api';
import { asking } from '../../testing/settled';
import { useBatch, useSetupChange } from './useBatch';

const BEGUN: BatchSetup = emptySetup('2026-11-03');

/** What the server has. */
let batch: Batch;
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  batch = { setup: BEGUN, version: 4, rows: [], byServer: false };
  ({ sent, restore } = answering((to, body, version) => {
    if (!to.startsWith('PUT')) return { json: batch };
    if (version !== batch.version) return refusal('moved-on', 'Somebody else changed this batch meanwhile.');
    batch = { ...batch, setup: (body as { setup: BatchSetup }).setup, version: batch.version + 1 };
    return { json: { version: batch.version } };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const opened = async () => {
  const page = renderHook(() => ({ batch: useBatch('b'), change: useSetupChange('b') }), { wrapper: asking });
  await waitFor(() => expect(page.result.current.batch.data).toBeDefined());
  return {
    keep: (change: Partial<BatchSetup>) =>
      page.result.current.change.keep({
        ...queryClient.getQueryData<Batch>(KEYS.batch('b'))!.setup!,
        ...change,
      }),
    done: () => waitFor(() => expect(page.result.current.change.isKeeping).toBe(false)),
    error: () => page.result.current.change.error,
    shown: () => page.result.current.batch.data!.setup!,
  };
};
/** What a colleague changes, of which this page has not heard. */
const meanwhile = (change: Partial<BatchSetup>) => {
  batch = { ...batch, setup: { ...batch.setup!, ...change }, version: batch.version + 1 };
};
const puts = () => sent.filter(({ to }) => to.startsWith('PUT'));

test('changes that follow each other at once are all kept, each in one request', async () => {
  const page = await opened();
  act(() => page.keep({ pace: 10 }));
  act(() => page.keep({ fileNames: '{n}' }));
  await page.done();
  expect(page.shown()).toMatchObject({ pace: 10, fileNames: '{n}' });
  expect(batch.setup).toEqual({ ...BEGUN, pace: 10, fileNames: '{n}' });
  expect(puts()).toHaveLength(2);
  expect(page.error()).toBeNull();
});

test('what a colleague changes elsewhere meanwhile stays, and comes along', async () => {
  const page = await opened();
  meanwhile({ pace: 5 });
  act(() => page.keep({ fileNames: 'Letter {n}' }));
  act(() => page.keep({ behind: 'Yours' }));
  await page.done();
  expect(batch.setup).toEqual({ ...BEGUN, pace: 5, fileNames: 'Letter {n}', behind: 'Yours' });
  await waitFor(() => expect(page.shown()).toEqual(batch.setup));
  expect(page.error()).toBeNull();
});

test('where both changed the same, theirs stands, is shown, and one is told', async () => {
  const page = await opened();
  meanwhile({ pace: 5 });
  act(() => page.keep({ pace: 90 }));
  await page.done();
  await waitFor(() => expect(page.shown().pace).toBe(5));
  expect(batch.setup!.pace).toBe(5);
  expect(page.error()?.message).toBe('Somebody else changed this batch meanwhile.');
  // What is changed after that is kept again.
  act(() => page.keep({ pace: 6 }));
  await page.done();
  expect(batch.setup!.pace).toBe(6);
  expect(page.error()).toBeNull();
});
