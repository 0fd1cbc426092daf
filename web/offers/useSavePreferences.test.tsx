import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, renderHook } from '@testing-library/react';
import { isSame } from '#core/difference';
import { DEFAULT_PREFERENCES, type Preferences } from '#core/glossary';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { locksHere } from '../../client/testing/locksHere';
import { KEYS, queryClient } from '../api';
import { asking, settled } from '../testing/settled';
import { useSavePreferences } from './useSavePreferences';

/** What the server has; `refuses`: why it takes nothing. */
let server: { has: Preferences; refuses: string | null };
/** What another computer does between the question and what is saved. */
let quicker: (() => void) | null;
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  locksHere();
  queryClient.clear();
  server = { has: DEFAULT_PREFERENCES, refuses: null };
  quicker = null;
  ({ sent, restore } = answering((to, body) => {
    if (to === 'GET /api/preferences') return { json: server.has };
    if (server.refuses) return refusal('not-valid', server.refuses);
    const { was, ...preferences } = body as Preferences & { was: Preferences };
    quicker?.();
    if (!isSame(was, server.has)) return refusal('moved-on', 'Changed meanwhile.');
    server.has = preferences;
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

test('where another computer saves in the same moment, both changes stay', async () => {
  const saving = opened();
  let times = 2;
  quicker = () => {
    if (times > 0) server.has = { ...server.has, newsSeen: 10 - (times -= 1) };
  };
  await settled(() => saving.current.mutate(waits(60)));
  expect(server.has).toMatchObject({ sendingWait: 60, newsSeen: 10 });
  expect(here()).toEqual(server.has);
});

test('where another computer does not stop saving, it is told, and the page has what the server has', async () => {
  const saving = opened();
  let news = 0;
  quicker = () => (server.has = { ...server.has, newsSeen: (news += 1) });
  await settled(() => saving.current.mutate(waits(60)));
  expect(saving.current.error?.message).toBe('Changed meanwhile.');
  expect(server.has.sendingWait).toBeUndefined();
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
