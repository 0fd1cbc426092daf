import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Enquiry, EnquiryChange } from '#contracts';
import { answering, refusal, type Sent } from '../../../../client/testing/answering';
import { queryClient } from '../../../api';
import { ShellContext, type Shell } from '../../../shell';
import { EnquiryBeside, type BegunNotes } from './EnquiryBeside';

const INSTANT = '2026-12-01T08:00:00.000Z';
const enquiry = (id: string, more: Partial<Enquiry> = {}): Enquiry => ({
  ...{ case: id, title: `Enquiry ${id}`, fromName: 'Petra', fromAddress: 'petra@marsh.example' },
  ...{ excerpt: 'May I help?', language: 'en-GB', since: INSTANT, state: 'open', isMine: false },
  ...{ takenBy: null, takenByName: null, putOffTo: null, messages: 1, notes: [] },
  ...more,
});

/** The queue as the server has it, and whether it refuses. */
let server: { queue: Map<string, Enquiry>; refuses: boolean };
let sent: Sent[];
let restore: () => void;
let begun: BegunNotes;
let taken: number;

function answerOf(to: string, body: unknown) {
  if (!to.startsWith('POST') && !to.startsWith('PUT') && !to.startsWith('PATCH')) {
    if (to.endsWith('/team')) return { json: { members: [], groups: [], invitations: [] } };
    return { json: [...server.queue.values()] };
  }
  if (server.refuses) return refusal('gone', 'The server could not be reached.');
  const of = /enquiries\/([^/]+)/.exec(to)![1]!;
  const change = body as EnquiryChange;
  const before = server.queue.get(of)!;
  const now: Enquiry =
    change.do === 'note'
      ? {
          ...before,
          notes: [
            ...before.notes,
            {
              id: `n${before.notes.length}`,
              by: 'anouk',
              byName: 'Anouk Fell',
              at: INSTANT,
              text: change.text,
            },
          ],
        }
      : change.do === 'put-off'
        ? { ...before, putOffTo: change.to }
        : change.do === 'set'
          ? { ...before, state: change.state }
          : before;
  server.queue.set(of, now);
  return { json: now };
}

beforeEach(() => {
  queryClient.clear();
  server = { queue: new Map(['a', 'b'].map((id) => [id, enquiry(id)])), refuses: false };
  begun = new Map();
  taken = 0;
  ({ sent, restore } = answering(answerOf));
});
afterEach(() => {
  cleanup();
  restore();
});

const page = (id: string) => {
  const shell = { member: { id: 'anouk', name: 'Anouk Fell' } } as Shell;
  return (
    <QueryClientProvider client={queryClient}>
      <ShellContext.Provider value={shell}>
        <MemoryRouter>
          <EnquiryBeside
            key={id}
            one={server.queue.get(id)!}
            alike={[]}
            take={() => (taken += 1)}
            isTaking={false}
            isTicked={false}
            tick={() => undefined}
            begun={begun}
          />
        </MemoryRouter>
      </ShellContext.Provider>
    </QueryClientProvider>
  );
};
const note = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Note for colleagues' });
const changes = () => sent.filter(({ body }) => body !== null).map(({ body }) => body);

describe('a note for colleagues', () => {
  test('that cannot be saved keeps its words, says why, and can be sent again', async () => {
    server.refuses = true;
    render(page('a'));
    await userEvent.type(note(), 'She rang twice{Enter}');
    expect(await screen.findByText('The server could not be reached.')).toBeDefined();
    expect(note().value).toBe('She rang twice');
    server.refuses = false;
    await userEvent.click(screen.getByRole('button', { name: 'Save the note' }));
    await waitFor(() => expect(note().value).toBe(''));
    expect(server.queue.get('a')!.notes.map(({ text }) => text)).toEqual(['She rang twice']);
  });

  test('has the keys after Enter too, and is sent once however often that is pressed', async () => {
    render(page('a'));
    await userEvent.type(note(), 'She rang twice{Enter}{Enter}');
    await waitFor(() => expect(note().value).toBe(''));
    expect(document.activeElement).toBe(note());
    await userEvent.keyboard('and once more{Enter}');
    await waitFor(() => expect(server.queue.get('a')!.notes).toHaveLength(2));
    expect(changes()).toEqual([
      { do: 'note', text: 'She rang twice' },
      { do: 'note', text: 'and once more' },
    ]);
    expect(taken).toBe(0);
  });

  test('what is written on while it is being saved stays', async () => {
    render(page('a'));
    await userEvent.type(note(), 'First');
    const saving = userEvent.keyboard('{Enter}');
    begun.set('a', 'First and second');
    await saving;
    await waitFor(() => expect(server.queue.get('a')!.notes).toHaveLength(1));
    expect(begun.get('a')).toBe('First and second');
  });

  test('of one enquiry is never that of another, and waits until one comes back', async () => {
    const { rerender } = render(page('a'));
    await userEvent.type(note(), 'Only of the first');
    rerender(page('b'));
    expect(note().value).toBe('');
    rerender(page('a'));
    expect(note().value).toBe('Only of the first');
  });

  test('of blanks is none', async () => {
    render(page('a'));
    await userEvent.type(note(), '   {Enter}');
    expect(screen.queryByRole('button', { name: 'Save the note' })).toBeNull();
    expect(changes()).toEqual([]);
  });
});

describe('what can be done', () => {
  test('where somebody else answers it: nothing but to note something', () => {
    server.queue.set('a', enquiry('a', { takenBy: 'ruan', takenByName: 'Ruan Pellow' }));
    render(page('a'));
    expect(screen.getByText('Ruan Pellow answers it.')).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
    expect(note()).toBeDefined();
  });

  test('of an enquiry that waits for them: it is to be answered, or nothing is', async () => {
    server.queue.set('a', enquiry('a', { state: 'awaiting' }));
    render(page('a'));
    expect(screen.queryByRole('button', { name: 'We wait for their answer' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Nothing to answer' }));
    await waitFor(() => expect(server.queue.get('a')!.state).toBe('answered'));
  });

  test('one that has no words says so', () => {
    server.queue.set('a', enquiry('a', { excerpt: '', messages: 3 }));
    render(page('a'));
    expect(screen.getByText('It has no words.')).toBeDefined();
    expect(screen.getByText(/3 messages/)).toBeDefined();
  });
});
