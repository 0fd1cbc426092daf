import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { locksHere } from '../../client/testing/locksHere';
import { KEYS, queryClient } from './queries';
import { useLiveEvents } from './useLiveEvents';

/** The stream as a browser has it: opened, told something and lost by the test. */
class Stream {
  static all: Stream[] = [];
  static readonly CLOSED = 2;
  readyState = 0;
  onopen: () => void = () => undefined;
  onmessage: (message: { data: string }) => void = () => undefined;
  onerror: () => void = () => undefined;

  constructor(readonly url: string) {
    Stream.all.push(this);
  }

  close(): void {
    this.readyState = Stream.CLOSED;
  }
}

class Channel {
  onmessage: unknown = null;
  postMessage = () => undefined;
  close = () => undefined;
}

beforeEach(() => {
  Object.assign(globalThis, { EventSource: Stream, BroadcastChannel: Channel });
  Stream.all = [];
  locksHere();
  queryClient.setQueryData(KEYS.notes, []);
});
afterEach(() => {
  cleanup();
  queryClient.clear();
});

/** A page that listens, on a stream that is open. */
async function listening(): Promise<Stream> {
  renderHook(() => useLiveEvents('imke'));
  await act(() => Promise.resolve());
  const stream = Stream.all[0]!;
  await act(() => Promise.resolve(stream.onopen()));
  return stream;
}
const isOutOfDate = () => queryClient.getQueryState(KEYS.notes)?.isInvalidated;

test('as a page opens nothing is asked for twice, but where the server says that something was missed', async () => {
  const stream = await listening();
  expect(stream.url).toMatch(/^\/api\/events\?askedFor=\d+$/);
  expect(isOutOfDate()).toBe(false);
  await act(() => Promise.resolve(stream.onmessage({ data: '{"type":"missed"}' })));
  expect(isOutOfDate()).toBe(true);
});

test('a stream that was lost and is open again has missed what was told meanwhile', async () => {
  const stream = await listening();
  expect(isOutOfDate()).toBe(false);
  await act(() => Promise.resolve(stream.onopen()));
  expect(isOutOfDate()).toBe(true);
});

test('what is no event is not followed, and what is, is', async () => {
  const stream = await listening();
  stream.onmessage({ data: '{"type":"everything"}' });
  expect(isOutOfDate()).toBe(false);
  stream.onmessage({ data: '{"type":"notes-changed"}' });
  expect(isOutOfDate()).toBe(true);
});
