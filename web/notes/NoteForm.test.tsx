import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';
import { asking } from '../testing/settled';
import { NoteForm } from './NoteForm';

let sent: Sent[];
let restore: () => void;
let refuses: boolean;
let entry: string;
let entries = 0;

beforeEach(() => {
  queryClient.clear();
  refuses = false;
  entry = `e${(entries += 1)}`;
  ({ sent, restore } = answering((_to, body) =>
    refuses
      ? refusal('not-allowed', 'Not now.')
      : {
          status: 201,
          json: {
            ...{ id: 'n1', entry, by: 'Imke Tarrow', at: '2026-11-30T09:00:00.000Z', own: true },
            ...{ keeps: false, closed: false, answers: [], ...(body as { text: string }) },
          },
        },
  ));
});
afterEach(() => {
  cleanup();
  restore();
});

function Opened() {
  const [isOpen, setOpen] = useState(true);
  return isOpen ? (
    <NoteForm {...{ entry }} done={() => setOpen(false)} />
  ) : (
    <button onClick={() => setOpen(true)}>Note something</button>
  );
}
const show = (member = 'imke') =>
  render(
    <ShellContext.Provider value={{ member: { id: member } } as unknown as Shell}>
      <Opened />
    </ShellContext.Provider>,
    { wrapper: asking },
  );
const line = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Note for its keepers' });
const again = () => userEvent.click(screen.getByRole('button', { name: 'Note something' }));

test('a note that is left with Escape is there again, for who began it alone; given up it is gone', async () => {
  const { unmount } = show();
  await userEvent.type(line(), 'The dose is per kilo{Escape}');
  await again();
  expect(line().value).toBe('The dose is per kilo');
  unmount();
  show('odile');
  expect(line().value).toBe('');
  cleanup();
  show();
  expect(line().value).toBe('The dose is per kilo');
  await userEvent.click(screen.getByRole('button', { name: 'Cancel' }));
  await again();
  expect(line().value).toBe('');
});

test('a note that is sent is gone from the line; one that is refused stays, also when it was left', async () => {
  show();
  refuses = true;
  await userEvent.type(line(), 'Twice the same{Enter}');
  expect(await screen.findByText('Not now.')).toBeTruthy();
  await userEvent.type(line(), '{Escape}');
  await again();
  refuses = false;
  await userEvent.type(line(), '{Enter}');
  await waitFor(() => expect(screen.queryByRole('textbox')).toBeNull());
  expect(sent.map(({ body }) => body)).toEqual([{ text: 'Twice the same' }, { text: 'Twice the same' }]);
  await again();
  expect(line().value).toBe('');
});
