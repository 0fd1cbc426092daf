import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { Entry } from '#contracts';
import { newEntry, type EntryContent } from '#core/entry';
import { plainPassage } from '#core/passage';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { asking, settled } from '../testing/settled';
import { useEntryChange } from './useEntryChange';

const content = (words: string): EntryContent => newEntry('Fed', 'en-GB', plainPassage(words));
const entryAt = (revision: number, words: string, savedBy = 'imke', reason = ''): Entry => ({
  ...{ id: 'fed', collection: 'ward', revision, content: content(words), varies: null },
  ...{ savedAt: '2026-12-01T08:00:00.000Z', savedBy, reason },
});

/** A server that has one entry; `isMute`: what is sent to it arrives, and its answers do not. */
let server: { entry: Entry; isMute: boolean };
let sent: Sent[];
let restore: () => void;

function answerOf(to: string, body: unknown, version: number | null) {
  const said = body as { content: EntryContent; reason: string };
  if (to === 'POST /api/entries/fed/proposals') {
    const made = { id: 'p', entry: 'fed', proposedBy: 'odile', proposedAt: server.entry.savedAt };
    const stands = { state: 'open', answer: '', answeredBy: null, own: true, mayAnswer: false };
    return { status: 201, json: { ...said, ...made, ...stands, drafts: null, deleted: false } };
  }
  if (version !== server.entry.revision)
    return refusal('moved-on', 'Someone else saved this entry.', { current: server.entry });
  server.entry = { ...server.entry, ...said, revision: version + 1, savedBy: 'odile' };
  if (server.isMute) throw new Error('no connection');
  return { json: server.entry };
}

beforeEach(() => {
  localStorage.clear();
  queryClient.clear();
  server = { entry: entryAt(3, 'It was fed.'), isMute: false };
  ({ sent, restore } = answering(answerOf));
});
afterEach(() => {
  cleanup();
  restore();
});

/** The page of the entry, as Odile has it open. */
function opened(isProposal = false) {
  const told: string[] = [];
  const hears = {
    saved: ({ entry }: { entry: Entry }) => void told.push(`saved ${entry.revision}`),
    proposed: () => void told.push('proposed'),
  };
  const { result, rerender, unmount } = renderHook(
    ({ entry }) => useEntryChange('odile', { entry }, content(''), isProposal, hears),
    { wrapper: asking, initialProps: { entry: server.entry } },
  );
  const write = (words: string) => act(() => result.current.setContent(content(words)));
  const save = () => settled(() => result.current.save());
  /** The page hears what the server has by now. */
  const hear = () => rerender({ entry: server.entry });
  return { change: () => result.current, told, write, save, hear, unmount };
}

test('it follows the entry until something is changed, and is saved as the next revision with its reason', async () => {
  const { change, told, write, save, hear } = opened();
  server.entry = entryAt(4, 'It was fed well.');
  hear();
  expect([change().content, change().isChanged]).toEqual([server.entry.content, false]);
  write('It was fed twice.');
  act(() => change().setReason('Twice a day'));
  expect(change().isChanged).toBe(true);
  await save();
  expect(sent).toEqual([
    {
      to: 'PUT /api/entries/fed',
      body: { content: content('It was fed twice.'), reason: 'Twice a day' },
      version: 4,
    },
  ]);
  expect([told, change().isChanged, change().error]).toEqual([['saved 5'], false, null]);
});

test('what is written and not saved is there when the page is opened again', () => {
  const { write, unmount } = opened();
  write('It was fed twice.');
  unmount();
  expect(opened().change()).toMatchObject({ content: content('It was fed twice.'), isChanged: true });
});

test('saved without a change nothing is sent', async () => {
  const { change, write, save } = opened();
  write('It was fed twice.');
  write('It was fed.');
  await save();
  expect([sent, change().isChanged]).toEqual([[], false]);
});

test('of what somebody else saved meanwhile one hears; one’s own goes over it, or is made one with it', async () => {
  const { change, told, write, save, hear } = opened();
  write('It was fed twice.');
  server.entry = entryAt(4, 'It was fed well.');
  await save();
  expect([change().theirs?.revision, change().error, told]).toEqual([4, null, []]);
  hear();
  act(() => change().takeMerged(content('It was fed well, twice.'), 4));
  expect([change().theirs, change().isChanged]).toEqual([null, true]);
  server.entry = entryAt(5, 'It was fed badly.');
  hear();
  expect(change().theirs?.savedBy).toBe('imke');
  await settled(() => void change().saveOverTheirs());
  expect(told).toEqual(['saved 6']);
  expect(server.entry.content).toEqual(content('It was fed well, twice.'));
});

test('what arrived though its answer was lost is saved, and nobody else’s', async () => {
  const { change, write, save, hear } = opened();
  server.isMute = true;
  write('It was fed twice.');
  await save();
  expect([change().isChanged, change().error === null]).toEqual([true, false]);
  hear();
  expect([change().isChanged, change().theirs, change().error]).toEqual([false, null, null]);
});

test('what is written after an answer was lost is a change of what arrived', async () => {
  const { change, told, write, save, hear } = opened();
  server.isMute = true;
  write('It was fed twice.');
  await save();
  write('It was fed three times.');
  hear();
  expect([change().isChanged, change().theirs]).toEqual([true, null]);
  server.isMute = false;
  await save();
  expect([sent.at(-1)!.version, told]).toEqual([4, ['saved 5']]);
});

test('a change that is let go of is there to be taken up again, as a change of what stands there', () => {
  const { change, write, hear } = opened();
  write('It was fed twice.');
  server.entry = entryAt(4, 'It was fed well.');
  hear();
  act(() => change().letGo());
  expect([change().content, change().isChanged]).toEqual([content('It was fed well.'), false]);
  act(() => change().takeUpAgain());
  expect([change().content, change().isChanged]).toEqual([content('It was fed twice.'), true]);
  expect([change().theirs, change().setAside]).toEqual([null, null]);
});

test('an earlier revision that is brought back says so as its reason', () => {
  const { change } = opened();
  act(() => change().bringBack(content('It ate.'), 1));
  expect(change()).toMatchObject({ content: content('It ate.'), reason: 'Revision 1 brought back' });
});

test('where one may only propose, it is proposed with the revision it was written on', async () => {
  const { change, told, write, save } = opened(true);
  write('It was fed twice.');
  act(() => change().setReason('Clearer'));
  await save();
  expect(told).toEqual(['proposed']);
  expect(sent[0]).toMatchObject({ to: 'POST /api/entries/fed/proposals', body: { base: 3 } });
  expect(server.entry.revision).toBe(3);
});
