import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Deletion } from '#contracts';
import { answering, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';
import { asking } from '../testing/settled';
import { WastebasketPage } from './WastebasketPage';

const DELETION: Deletion = {
  ...{ id: 'd1', what: 'entries', title: '2 entries', by: 'Imke Tarrow', count: 2, until: null },
  ...{ at: '2026-11-24T10:00:00.000Z' },
  entries: [
    { id: 'owl', title: 'Owl flew', collection: 'ward' },
    { id: 'gate', title: 'Mind the gate', collection: 'ward' },
  ],
};

let deletions: Deletion[];
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  deletions = [DELETION];
  ({ sent, restore } = answering((to) => {
    if (to === 'GET /api/wastebasket') return { json: deletions };
    if (to.startsWith('GET')) return { status: 503, json: null };
    if (to.startsWith('DELETE')) {
      deletions = [];
      return { status: 204, json: null };
    }
    return { json: { entries: 1, lostCues: [{ title: 'Mind the gate', cue: ';gate' }] } };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = async () => {
  render(
    <MemoryRouter>
      <ShellContext.Provider value={{ member: { id: 'imke', role: 'member' } } as unknown as Shell}>
        <WastebasketPage />
      </ShellContext.Provider>
    </MemoryRouter>,
    { wrapper: asking },
  );
  await screen.findByText('2 entries');
};
const changes = () => sent.filter(({ to }) => !to.startsWith('GET')).map(({ to, body }) => ({ to, body }));

test('Enter twice deletes nothing for good: the way out has the keys', async () => {
  await show();
  const ask = screen.getByRole('button', { name: 'Delete 2 entries for good' });
  ask.focus();
  await userEvent.keyboard('{Enter}{Enter}');
  expect(changes()).toEqual([]);
  expect(screen.queryByRole('alertdialog')).toBeNull();
  await userEvent.click(ask);
  await userEvent.click(screen.getByRole('button', { name: 'Delete for good' }));
  await screen.findByText('“2 entries” was deleted for good.');
  await screen.findByText('The wastebasket is empty.');
});

test('one of several is brought back by itself, and the cue that it lost is told', async () => {
  await show();
  await userEvent.click(screen.getByText('Show them'));
  await userEvent.click(screen.getByRole('button', { name: 'Bring back Mind the gate' }));
  await screen.findByText('“Mind the gate” is back, without ;gate: by now that brings another entry.');
  await waitFor(() => expect(changes()).toHaveLength(1));
  expect(changes()[0]!.body).toEqual({ entries: ['gate'] });
});
