import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, renderHook } from '@testing-library/react';
import type { CaseSummary, Draft } from '#contracts';
import { emptyDraft } from '#core/draft';
import { call } from '#client/api';
import { answering, refusal, type Sent } from '../../../client/testing/answering';
import { KEYS, queryClient } from '../../api';
import { asking, settled } from '../../testing/settled';
import { useFinishing } from './useFinishing';

const instant = '2026-12-01T08:00:00.000Z';
const draftAt = (version: number, state: Draft['state']): Draft => ({
  ...{ id: 'd', case: 'bramble', author: 'odile', title: '', begunAt: instant, savedAt: instant },
  ...{ state, version, excerpt: 'Fed.', document: emptyDraft() },
});
const desk = (): CaseSummary[] => [
  {
    ...{ id: 'bramble', kind: 'admission', title: 'Bramble', number: null, summary: '', openedAt: instant },
    ...{ closed: false, draft: null, unfinished: 1, finished: 0 },
  },
];

let server: { refuses: string | null; isAway: boolean };
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  queryClient.setQueryData(KEYS.cases, desk());
  server = { refuses: null, isAway: false };
  ({ sent, restore } = answering((to, _body, version) => {
    if (server.isAway) throw new Error('no connection');
    if (to === 'GET /api/cases') return { json: desk() };
    if (server.refuses) return refusal('not-finished', server.refuses);
    return { json: draftAt(version! + 1, to.endsWith('/finish') ? 'finished' : 'open') };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

/** The leaf; `saves`: whether the words that are on their way arrive when they are waited for. */
function opened(saves = true) {
  const wentOnFrom: number[] = [];
  const keeper = {
    isSaved: false,
    savedVersion: 3,
    flush: () => {
      if (saves) Object.assign(keeper, { isSaved: true, savedVersion: 4 });
      return Promise.resolve();
    },
    goOnFrom: (version: number) => {
      wentOnFrom.push(version);
      keeper.savedVersion = version;
    },
  };
  const draft = draftAt(3, 'open');
  const { result } = renderHook(() => useFinishing(draft, keeper as never), { wrapper: asking });
  return {
    now: () => result.current,
    wentOnFrom,
    finish: () => settled(() => result.current.finish.mutate()),
    reopen: () => settled(() => result.current.reopen.mutate()),
  };
}

test('the last words are saved first, and that version is finished; opened again it is written on', async () => {
  const { now, wentOnFrom, finish, reopen } = opened();
  await finish();
  expect(sent[0]).toMatchObject({ to: 'POST /api/drafts/d/finish', version: 4 });
  expect([now().state, wentOnFrom]).toEqual(['finished', [5]]);
  await reopen();
  expect(sent.find(({ to }) => to === 'POST /api/drafts/d/reopen')?.version).toBe(5);
  expect([now().state, wentOnFrom, now().error]).toEqual(['open', [5, 6], null]);
});

test('what cannot be saved is not finished, and it is said', async () => {
  const { now, finish } = opened(false);
  await finish();
  expect([sent, now().state]).toEqual([[], 'open']);
  expect(now().error?.message).toMatch(/not saved yet, so it was not finished/);
});

test('while the server is known to be away nothing is sent, now or later', async () => {
  const { now, finish } = opened();
  server.isAway = true;
  await expect(call('cases')).rejects.toThrow('cannot be reached');
  await finish();
  expect(now().error?.message).toMatch(/cannot be reached, so the draft is not finished/);
  server.isAway = false;
  await settled(() => void call('cases'));
  expect([sent.map(({ to }) => to), now().state]).toEqual([['GET /api/cases'], 'open']);
});

test('why the server does not finish it is told, and it stays as it was', async () => {
  const { now, finish } = opened();
  server.refuses = '1 required answers are missing.';
  await finish();
  expect([now().state, now().error?.message]).toEqual(['open', server.refuses]);
});
