import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Case, Correction } from '#contracts';
import { call } from '#client/api';
import { isSame } from '#core/difference';
import {
  correctedRecord,
  emptyRecord,
  valueInWords,
  writtenDetail,
  type CaseRecord,
  type Value,
} from '#core/record';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { asking } from '../testing/settled';
import { CorrectRecord } from './CorrectRecord';

const BY = { by: 'Odile Brandt', on: '2026-12-01', at: '2026-12-01T08:00:00.000Z' };
const text = (words: string): Value => ({ kind: 'text', text: words });
const caseWith = (record: CaseRecord): Case => ({
  ...{ id: 'dune', kind: 'admission', title: 'Dune', number: null, summary: '' },
  ...{ openedAt: '2026-01-10T10:00:00.000Z', closed: false, draft: null, unfinished: 0, finished: 0 },
  ...{ record, drafts: [], given: ['imke'], files: [] },
});

/** The record as the server has it, and whether it can be reached. */
let server: { record: CaseRecord; isGone: boolean };
let sent: Sent[];
let restore: () => void;
/** Lets what is sent go on: it waits while one is set. */
let onTheWay: Promise<void> | null;

function answerOf(to: string, body: unknown) {
  if (to.startsWith('GET')) return { json: caseWith(server.record) };
  if (server.isGone) return refusal('gone', 'The server could not be reached.');
  const { path, had, value } = body as Correction;
  const now = writtenDetail(server.record, path)?.value ?? null;
  if (!isSame(now, had))
    return refusal('moved-on', `It says “${now ? valueInWords(now, 'en-GB') : ''}” now.`);
  server.record = correctedRecord(server.record, { path, value }, BY);
  return { json: caseWith(server.record) };
}

function Page() {
  const { data } = useQuery<Case>({
    queryKey: KEYS.case('dune'),
    queryFn: () => call('case', { params: { case: 'dune' } }),
    staleTime: Infinity,
  });
  return data ? <CorrectRecord one={data} /> : null;
}

beforeEach(() => {
  queryClient.clear();
  onTheWay = null;
  const reason = { path: 'reason', value: text('alone on the sand'), source: 'Form', asOf: null };
  server = { record: { ...emptyRecord(), details: [reason] }, isGone: false };
  queryClient.setQueryData(KEYS.case('dune'), caseWith(server.record));
  ({ sent, restore } = answering(answerOf));
  const answered = globalThis.fetch;
  globalThis.fetch = async (...asked) => {
    await onTheWay;
    return answered(...asked);
  };
  render(<Page />, { wrapper: asking });
});
afterEach(() => {
  cleanup();
  restore();
});

const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: /reason/i });
const says = () => {
  const written = writtenDetail(server.record, 'reason');
  return written ? valueInWords(written.value, 'en-GB') : null;
};
/** What a colleague corrects, and the page hears of it unless it is away. */
const meanwhile = (words: string, isHeard = true) =>
  act(async () => {
    server.record = correctedRecord(server.record, { path: 'reason', value: text(words) }, BY);
    if (isHeard) queryClient.setQueryData(KEYS.case('dune'), caseWith(server.record));
    await new Promise((go) => setTimeout(go));
  });
const corrections = () => sent.filter(({ to }) => to.startsWith('POST'));

describe('a detail of the record, corrected by hand', () => {
  test('is saved by Enter or by leaving it, once; unchanged, nothing is sent', async () => {
    await userEvent.type(field(), ', tired{Enter}');
    await waitFor(() => expect(says()).toBe('alone on the sand, tired'));
    await userEvent.tab();
    await userEvent.click(field());
    await userEvent.tab();
    expect(corrections()).toHaveLength(1);
  });

  test('what the source said is one step away, with the keys left in the detail', async () => {
    await userEvent.type(field(), '!{Enter}');
    await userEvent.click(await screen.findByRole('button', { name: 'Back to that' }));
    await waitFor(() => expect(says()).toBe('alone on the sand'));
    expect(document.activeElement).toBe(field());
  });

  test('what is typed on and left while the first words are on their way is saved after them', async () => {
    let arrive = () => undefined as void;
    onTheWay = new Promise((go) => (arrive = go));
    await userEvent.type(field(), ', tired{Enter}');
    await userEvent.type(field(), ' and thin');
    await userEvent.tab();
    arrive();
    await waitFor(() => expect(says()).toBe('alone on the sand, tired and thin'));
    expect(field().value).toBe('alone on the sand, tired and thin');
    expect(corrections()).toHaveLength(2);
  });

  test('what is typed on while the first words are on their way stays there', async () => {
    let arrive = () => undefined as void;
    onTheWay = new Promise((go) => (arrive = go));
    await userEvent.type(field(), ', tired{Enter}');
    await userEvent.type(field(), ' and');
    arrive();
    await waitFor(() => expect(says()).toBe('alone on the sand, tired'));
    expect(field().value).toBe('alone on the sand, tired and');
  });

  test('what a colleague corrected since one began is not written over by leaving the detail; one chooses', async () => {
    await userEvent.type(field(), ', tired');
    await meanwhile('beached');
    await userEvent.tab();
    expect(await screen.findByText(/It says “beached” now/)).toBeTruthy();
    expect(says()).toBe('beached');
    expect(field().value).toBe('alone on the sand, tired');
    // Gone into and left again, it still is not.
    await userEvent.click(field());
    await userEvent.tab();
    expect(says()).toBe('beached');
    await userEvent.click(screen.getByRole('button', { name: 'Save yours' }));
    await waitFor(() => expect(says()).toBe('alone on the sand, tired'));
    expect(screen.queryByRole('button', { name: 'Save yours' })).toBeNull();
    expect(document.activeElement).toBe(field());
  });

  test('theirs is taken by a step, also where the page had not heard of it', async () => {
    await userEvent.type(field(), ', tired');
    await meanwhile('beached', false);
    await userEvent.tab();
    await userEvent.click(await screen.findByRole('button', { name: 'Use the current one' }));
    expect(field().value).toBe('beached');
    expect(screen.queryByText(/It says/)).toBeNull();
    expect(says()).toBe('beached');
  });

  test('stays as it was typed while the server cannot be reached, and is saved by Enter later', async () => {
    server.isGone = true;
    await userEvent.type(field(), ', tired{Enter}');
    expect(await screen.findByText(/could not be reached/)).toBeTruthy();
    expect(field().value).toBe('alone on the sand, tired');
    server.isGone = false;
    await userEvent.type(field(), '{Enter}');
    await waitFor(() => expect(says()).toBe('alone on the sand, tired'));
  });
});
