import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Review, ReviewGiven } from '#contracts';
import { addDays } from '#core/calendar';
import type { BankIndex } from '#core/bank';
import { calendarToday } from '#client/clock';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { asking } from '../testing/settled';
import { DueReviews } from './DueReviews';
import { nextDay, useReviews } from './reviews';

const YESTERDAY = addDays(calendarToday(), -1);
const review = (entry: string, title: string, more: Partial<Review> = {}): Review => ({
  ...{ entry, title, collection: 'birds', due: YESTERDAY, keeper: 'imke', lookedAt: null },
  ...more,
});

/** What the server has, and whether it takes anything. */
let server: { reviews: Review[]; refuses: boolean };
let sent: Sent[];
let restore: () => void;

beforeEach(() => {
  queryClient.clear();
  server = { reviews: [review('fees', 'Fees'), review('hours', 'Opening hours')], refuses: false };
  ({ sent, restore } = answering((to, body) => {
    if (to === 'GET /api/team')
      return { json: { members: [{ id: 'imke', name: 'Imke Tarrow', job: '', left: false }], groups: [] } };
    if (to.startsWith('GET')) return { json: { reviews: server.reviews } };
    if (server.refuses) return refusal('not-allowed', 'You keep it no longer. Nothing was changed.');
    const { entries, review: given } = body as ReviewGiven;
    server.reviews = server.reviews.map((one) =>
      entries.includes(one.entry) && given ? { ...one, due: given.due } : one,
    );
    return { status: 204, json: null };
  }));
});
afterEach(() => {
  cleanup();
  restore();
});

const kept = (right: string) =>
  ({ collections: new Map([['birds', { id: 'birds', name: 'Birds', right }]]) }) as unknown as BankIndex;

function Page({ right }: { right: string }) {
  const { data } = useReviews();
  return data ? <DueReviews index={kept(right)} reviews={data.reviews} /> : null;
}
const show = async (right = 'keep') => {
  render(
    <MemoryRouter>
      <Page right={right} />
    </MemoryRouter>,
    { wrapper: asking },
  );
  await screen.findByRole('link', { name: 'Fees' });
};
const right = (title: string) => screen.getByRole('button', { name: `${title} is still right` });
const focused = () => document.activeElement?.textContent;

test('what is still right is due again later; the keys are on Undo, and that brings the day back', async () => {
  await show();
  await userEvent.click(right('Fees'));
  await waitFor(() => expect(focused()).toBe('Undo'));
  expect(server.reviews[0]!.due).toBe(nextDay());
  expect(screen.queryByRole('button', { name: 'Fees is still right' })).toBeNull();
  await userEvent.keyboard('{Enter}');
  await waitFor(() => expect(right('Fees')).toBeTruthy());
  expect(server.reviews[0]!.due).toBe(YESTERDAY);
  await waitFor(() => expect(focused()).toBe('Fees'));
  expect(
    sent.filter(({ to }) => to.startsWith('P')).map(({ body }) => (body as ReviewGiven).review?.looked),
  ).toEqual([true, false]);
});

test('refused it says so, and stays due', async () => {
  await show();
  server.refuses = true;
  await userEvent.click(right('Opening hours'));
  await screen.findByText('You keep it no longer. Nothing was changed.');
  expect(right('Opening hours')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});

test('who does not keep it reads when it is due, and by whom', async () => {
  await show('read');
  expect(screen.queryByRole('button')).toBeNull();
  expect(await screen.findAllByText(/due since .*, Imke Tarrow/)).toHaveLength(2);
});

test('of many what is due is shown, the rest when it is asked for', async () => {
  server.reviews = [
    review('fees', 'Fees'),
    ...Array.from({ length: 20 }, (_, at) =>
      review(`e${at}`, `Entry ${at}`, { due: addDays(calendarToday(), 30 + at) }),
    ),
  ];
  await show();
  expect(screen.getAllByRole('listitem')).toHaveLength(12);
  await userEvent.click(screen.getByRole('button', { name: 'Show all 21' }));
  expect(screen.getAllByRole('listitem')).toHaveLength(21);
});
