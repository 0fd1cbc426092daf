import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { Draft, NewSending, Sending } from '#contracts';
import { emptyDraft } from '#core/draft';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import type { Message } from '#core/message';
import { answering, refusal, type Sent } from '../../../../client/testing/answering';
import { KEYS, queryClient } from '../../../api';
import { asking, settled } from '../../../testing/settled';
import { USUAL_WAIT, useSending } from './useSending';

const instant = '2026-12-01T08:00:00.000Z';
const draft: Draft = {
  ...{ id: 'd', case: 'c', author: 'anouk', title: '', begunAt: instant, savedAt: instant },
  ...{ state: 'open', version: 4, excerpt: '', document: emptyDraft() },
};

/** The letters that a server has by their ids. `isMute`: what is sent arrives, and the answer does not. */
let server: { letters: Map<string, NewSending>; isMute: boolean; doubts: string[] };
let sent: Sent[];
let restore: () => void;

function answerOf(_to: string, body: unknown) {
  const asked = body as NewSending;
  if (server.doubts.length > 0 && !asked.sure)
    return refusal('doubtful', 'Look at it first.', {
      faults: server.doubts.map((message) => ({ place: 'enclosed', message })),
    });
  server.letters.set(asked.id, asked);
  if (server.isMute) throw new Error('no connection');
  const sending: Sending = {
    ...{ id: asked.id, draft: 'd', case: 'c', to: [], cc: [], subject: '', state: 'waiting', reason: '' },
    ...{ byServer: false, askedAt: instant, goesAt: instant, stateAt: instant, bytes: 10 },
  };
  return { status: 201, json: { sending, draft: { ...draft, state: 'finished', version: 5 } } };
}

beforeEach(() => {
  queryClient.clear();
  queryClient.setQueryData(KEYS.preferences, DEFAULT_PREFERENCES);
  server = { letters: new Map(), isMute: false, doubts: [] };
  ({ sent, restore } = answering(answerOf));
});
afterEach(() => {
  cleanup();
  restore();
  Object.defineProperty(navigator, 'onLine', { configurable: true, value: true });
});

/** The leaf of a letter. `isSaved`: whether what is written reaches the server; `isWhole`: whether it has no gap. */
function opened({ isSaved = true, isWhole = true, answered = null as Message | null } = {}) {
  const settledAs: string[] = [];
  const keeper = { flush: () => Promise.resolve(), isSaved, savedVersion: 4 };
  const leaf = {
    ...{ draft, keeper, isWhole: () => isWhole, say: () => undefined },
    settle: ({ state, version }: Draft) => void settledAs.push(`${state} ${version}`),
  };
  const { result } = renderHook(() => useSending(leaf as never, answered), { wrapper: asking });
  const send = () => settled(() => result.current.send());
  return { sending: () => result.current, settledAs, send };
}
const said = (error: Error | null) => error?.message ?? null;

test('a letter is sent as it was saved, with the wait that is usual, and its leaf is finished', async () => {
  const answered = { id: '<a@marsh.example>', references: ['<b@marsh.example>'] } as unknown as Message;
  const { settledAs, send } = opened({ answered });
  await send();
  expect(sent).toHaveLength(1);
  expect(sent[0]).toMatchObject({
    ...{ to: 'POST /api/drafts/d/sendings', version: 4 },
    body: {
      ...{ wait: USUAL_WAIT, sure: false, inReplyTo: '<a@marsh.example>' },
      references: ['<b@marsh.example>'],
    },
  });
  expect(settledAs).toEqual(['finished 5']);
});

test('sent again since its answer was lost it is the same letter; the next one is another', async () => {
  const { sending, settledAs, send } = opened();
  server.isMute = true;
  await send();
  expect([said(sending().error), settledAs]).toEqual(['The server cannot be reached just now.', []]);
  server.isMute = false;
  await send();
  expect([server.letters.size, said(sending().error), settledAs]).toEqual([1, null, ['finished 5']]);
  // Taken back and written on, it is a letter of its own.
  await send();
  expect(server.letters.size).toBe(2);
});

test('what is doubtful about it is told, and it goes once its writer is sure; let be, nothing went', async () => {
  const { sending, settledAs, send } = opened();
  server.doubts = ['It says “enclosed”, and nothing is sent along.'];
  await send();
  expect([sending().doubts, said(sending().error), server.letters.size]).toEqual([server.doubts, null, 0]);
  act(() => sending().letBe());
  expect(sending().doubts).toEqual([]);
  await send();
  await settled(() => sending().sendSo());
  expect([sending().doubts, settledAs]).toEqual([[], ['finished 5']]);
});

test('with a gap left nothing is sent', async () => {
  const { send } = opened({ isWhole: false });
  await send();
  expect(sent).toEqual([]);
});

test('what is not saved is not sent, and nothing is without a connection; both are told', async () => {
  const unsaved = opened({ isSaved: false });
  await unsaved.send();
  expect(said(unsaved.sending().error)).toMatch(/not saved yet, so it was not sent/);
  Object.defineProperty(navigator, 'onLine', { configurable: true, value: false });
  const offline = opened();
  await offline.send();
  expect(said(offline.sending().error)).toMatch(/no connection, so it was not sent/);
  expect(sent).toEqual([]);
});
