import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, renderHook } from '@testing-library/react';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/glossary';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { locksHere } from '../../client/testing/locksHere';
import { KEYS, queryClient } from '../api';
import { asking, settled } from '../testing/settled';
import { useSavePreferences } from './useSavePreferences';

/** What the server has; `refuses`: why it takes nothing. */
let server: { has: Preferences; refuses: string | null };
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  locksHere();
  queryClient.clear();
  server = { has: DEFAULT_PREFERENCES, refuses: null };
  ({ sent, restore } = answering((to, body) => {
    if (to === 'GET /api/preferences') return { json: server.has };
    if (server.refuses) return refusal('not-valid', server.refuses);
    server.has = body as Preferences;
    return { json: server.has };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const opened = () => renderHook(() => useSavePreferences(), { wrapper: asking }).result;
const here = () => queryClient.getQueryData<Preferences>(KEYS.preferences);
const waits = (seconds: number) => (before: Preferences) => ({ ...before, sendingWait: seconds });
const sees = (news: number) => (before: Preferences) => ({ ...before, newsSeen: news });

test('what another window changed since the page asked stays, and is then seen here too', async () => {
  const saving = opened();
  await settled(() => saving.current.mutate(waits(30)));
  server.has = { ...server.has, newsSeen: 7 };
  await settled(() => saving.current.mutate(waits(60)));
  expect(server.has).toMatchObject({ sendingWait: 60, newsSeen: 7 });
  expect(here()).toEqual(server.has);
});

test('several changes at once all stay', async () => {
  const [one, other] = [opened(), opened()];
  await settled(() => {
    one.current.mutate(waits(30));
    other.current.mutate(sees(7));
    one.current.mutate(waits(60));
  });
  expect(server.has).toMatchObject({ sendingWait: 60, newsSeen: 7 });
  expect(here()).toEqual(server.has);
  expect(sent.filter(({ to }) => to.startsWith('PUT'))).toHaveLength(3);
});

test('a change that the server does not take is taken back on the page, and the next one goes on from what it has', async () => {
  const saving = opened();
  await settled(() => saving.current.mutate(waits(30)));
  server.refuses = 'Not so long.';
  await settled(() => saving.current.mutate(waits(60)));
  expect([saving.current.error?.message, here()?.sendingWait]).toEqual(['Not so long.', 30]);
  server.refuses = null;
  await settled(() => saving.current.mutate(sees(7)));
  expect(server.has).toMatchObject({ sendingWait: 30, newsSeen: 7 });
});
