import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Note } from '#contracts';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { asking } from '../testing/settled';
import { NoteCard } from './NoteCard';

const NOTE: Note = {
  ...{ id: 'n1', entry: 'rest', text: 'It says twice', by: 'Odile Brandt', at: '2026-11-30T09:00:00.000Z' },
  ...{ own: false, keeps: true, closed: false, answers: [] },
};

let sent: Sent[];
let restore: () => void;
let refuses: boolean;
/** Lets what is sent go on. */
let arrive: () => void;
beforeEach(() => {
  refuses = false;
  ({ sent, restore } = answering(() => (refuses ? refusal('gone', 'Not now.') : { json: NOTE })));
  const answered = globalThis.fetch;
  let onTheWay = new Promise<void>((go) => (arrive = go));
  globalThis.fetch = async (...asked) => {
    await onTheWay;
    onTheWay = Promise.resolve();
    return answered(...asked);
  };
  render(<NoteCard note={NOTE} />, { wrapper: asking });
});
afterEach(() => {
  cleanup();
  restore();
});
const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Answer' });

test('an answer is sent once, though Enter is pressed twice; what is typed on meanwhile stays', async () => {
  await userEvent.type(field(), 'Mended{Enter}{Enter}');
  await userEvent.type(field(), ' today');
  arrive();
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toEqual({ text: 'Mended' });
  await waitFor(() => expect(field().value).toBe('Mended today'));
});

test('sent, the field is empty; refused, it is not', async () => {
  arrive();
  refuses = true;
  await userEvent.type(field(), 'Mended{Enter}');
  await screen.findByText('Not now.');
  expect(field().value).toBe('Mended');
  refuses = false;
  await userEvent.type(field(), '{Enter}');
  await waitFor(() => expect(field().value).toBe(''));
});
