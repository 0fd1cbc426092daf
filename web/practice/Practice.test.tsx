import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Collection } from '#contracts';
import { newEntry } from '#core/entry';
import { plainPassage } from '#core/passage';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { asking } from '../testing/settled';
import { Practice, type CueCard } from './Practice';

const card = (entry: string, title: string, cue: string, lookedUp = 0): CueCard => ({
  ...{ entry, cue, lookedUp, times: 3, known: null },
  content: newEntry(title, 'en-GB', plainPassage(`${title}, in full.`)),
  collection: { id: 'ward', name: 'Ward' } as Collection,
});
const CARDS = [card('handling', 'Handling', ',hnd', 5), card('weight', 'Weight today', ',wt')];

let sent: Sent[];
let refuses: boolean;
let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  refuses = false;
  ({ sent, restore } = answering(() =>
    refuses ? refusal('gone', 'The server had no room. Nothing was changed.') : { json: { known: {} } },
  ));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = (cards = CARDS) =>
  render(
    <MemoryRouter>
      <Practice cards={cards} />
    </MemoryRouter>,
    { wrapper: asking },
  );
const begin = () => userEvent.click(screen.getByRole('button', { name: 'Practise 2 cues' }));
const answers = () => sent.map(({ body }) => (body as { answers: object[] }).answers);

test('what is looked up most is asked first; what was not known comes again, and all of it is kept', async () => {
  show();
  await begin();
  expect(screen.getByRole('heading', { name: 'Handling' })).toBeTruthy();
  await userEvent.keyboard(',HND{Enter}');
  expect(screen.getByText('Right.')).toBeTruthy();
  await userEvent.keyboard('{Enter}');
  expect(screen.getByRole('heading', { name: 'Weight today' })).toBeTruthy();
  await userEvent.keyboard(',weight{Enter}');
  expect(screen.getByText(',wt')).toBeTruthy();
  await userEvent.keyboard('{Enter}');
  // Asked again.
  expect(screen.getByRole('heading', { name: 'Weight today' })).toBeTruthy();
  await userEvent.keyboard(',wt{Enter}{Enter}');
  await screen.findByText('1 of 2 known at once.');
  await waitFor(() =>
    expect(answers()).toEqual([
      [
        { entry: 'handling', known: true },
        { entry: 'weight', known: false },
        { entry: 'weight', known: true },
      ],
    ]),
  );
});

test('shown a cue, one goes on by the same key', async () => {
  show();
  await begin();
  await userEvent.click(screen.getByRole('button', { name: 'Show it' }));
  expect(screen.getByText(',hnd')).toBeTruthy();
  expect(document.activeElement?.textContent).toMatch(/^Next/);
  await userEvent.keyboard('{Enter}');
  expect(screen.getByRole('heading', { name: 'Weight today' })).toBeTruthy();
  expect(document.activeElement).toBe(screen.getByRole('textbox', { name: 'Its cue' }));
});

test('who goes away in the middle keeps what they knew; who ended it has sent it once', async () => {
  const { unmount } = show();
  await begin();
  await userEvent.keyboard(',hnd{Enter}{Enter}');
  unmount();
  await waitFor(() => expect(answers()).toEqual([[{ entry: 'handling', known: true }]]));
  sent.length = 0;
  const again = show();
  await begin();
  await userEvent.keyboard(',hnd{Enter}{Enter}');
  await userEvent.click(screen.getByRole('button', { name: 'End here' }));
  await waitFor(() => expect(answers()).toHaveLength(1));
  again.unmount();
  await new Promise((go) => setTimeout(go));
  expect(answers()).toHaveLength(1);
});

test('what could not be kept is sent again', async () => {
  refuses = true;
  show();
  await begin();
  await userEvent.keyboard(',hnd{Enter}{Enter}');
  await userEvent.click(screen.getByRole('button', { name: 'End here' }));
  await screen.findByText('The server had no room. Nothing was changed.');
  refuses = false;
  await userEvent.click(screen.getByRole('button', { name: 'Send it again' }));
  await screen.findByText('What you knew comes back later, the rest sooner.');
  expect(answers()[1]).toEqual(answers()[0]);
});

test('what is looked up is listed with its cue, and nothing to practise is told', () => {
  show(CARDS.map((one) => ({ ...one, known: { box: 3, due: '2999-01-01' } })));
  expect(screen.getByText(/You know all that is to be practised today/)).toBeTruthy();
  expect(screen.getByText('5 of 5 times')).toBeTruthy();
  cleanup();
  show([]);
  expect(screen.getByText('No entry that you see has a cue yet.')).toBeTruthy();
});
