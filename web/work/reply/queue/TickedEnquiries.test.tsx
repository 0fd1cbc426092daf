import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { MemoryRouter, Route, Routes } from 'react-router';
import type { Enquiry } from '#contracts';
import { answering, refusal, type Sent } from '../../../../client/testing/answering';
import { queryClient } from '../../../api';
import { asking } from '../../../testing/settled';
import { TickedEnquiries } from './TickedEnquiries';

const INSTANT = '2026-12-01T08:00:00.000Z';
const enquiry = (id: string): Enquiry => ({
  ...{ case: id, title: `Enquiry ${id}`, fromName: 'Petra', fromAddress: 'petra@marsh.example' },
  ...{ excerpt: 'May I help?', language: 'en-GB', since: INSTANT, state: 'open', isMine: true },
  ...{ takenBy: 'imke', takenByName: 'Imke', putOffTo: null, messages: 1, notes: [] },
});
const TICKED = [enquiry('a'), enquiry('b')];
const SUMMARY = {
  ...{ kind: 'batch', title: 'Enquiries', number: null, summary: '', openedAt: INSTANT },
  ...{ closed: false, draft: null, unfinished: 0, finished: 0 },
};

/** The batches the server has, by id, with the rows of each; and whether it takes rows. */
let batches: Map<string, { version: number; rows: Map<string, string> }>;
let takesRows: boolean;
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  batches = new Map();
  takesRows = true;
  ({ sent, restore } = answering((to, body, version) => {
    if (to === 'POST /api/cases') {
      const { id } = body as { id: string };
      if (!batches.has(id)) batches.set(id, { version: 0, rows: new Map() });
      return { json: { ...SUMMARY, id } };
    }
    const batch = batches.get(/cases\/([^/]+)/.exec(to)![1]!)!;
    if (to.startsWith('PUT')) {
      if (version !== batch.version) return refusal('moved-on', 'Somebody else changed this batch.');
      batch.version += 1;
      return { json: { version: batch.version } };
    }
    const { rows } = body as { rows: { id: string; enquiry: string }[] };
    for (const row of rows) batch.rows.set(row.id, row.enquiry);
    return takesRows ? { json: { rows: rows.length } } : refusal('internal', 'Something went wrong.');
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = () =>
  render(
    <MemoryRouter initialEntries={['/queue']}>
      <Routes>
        <Route path="/queue" element={<TickedEnquiries ticked={TICKED} untick={() => undefined} />} />
        <Route path="/cases/:case" element={<h1>The batch</h1>} />
      </Routes>
    </MemoryRouter>,
    { wrapper: asking },
  );
const make = () => userEvent.click(screen.getByRole('button', { name: 'A letter to each' }));

test('a letter to each is a batch with a row for each', async () => {
  show();
  await make();
  await screen.findByRole('heading', { name: 'The batch' });
  expect([...batches.values()].map(({ rows }) => [...rows.values()])).toEqual([['a', 'b']]);
});

test('where the answer to its rows was lost, the same batch is gone on with, and each is in it once', async () => {
  takesRows = false;
  show();
  await make();
  await screen.findByText('Something went wrong.');
  takesRows = true;
  await make();
  await waitFor(() => expect(screen.getByRole('heading', { name: 'The batch' })).toBeTruthy());
  expect([...batches.values()].map(({ rows }) => [...rows.values()])).toEqual([['a', 'b']]);
  expect(sent.filter(({ to }) => to === 'POST /api/cases')).toHaveLength(2);
});
