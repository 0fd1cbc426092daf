import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import type { Bank, Collection, Entry, NewEntry, Tray } from '#contracts';
import { makeIndex } from '#core/bank';
import { newTraySetup } from '#core/naming';
import { answering, refusal, type Sent } from '../../../client/testing/answering';
import { queryClient } from '../../api';
import { ShellContext, type Shell } from '../../shell';
import { asking, settled } from '../../testing/settled';
import { PatternForm } from './PatternForm';

const NAMES = {
  ...{ id: 'names', name: 'Names', leadIn: ';', right: 'keep', parent: null, own: false },
  ...{ kindsOfWork: ['naming'], language: 'en-GB' },
} as unknown as Collection;
const BANK = { collections: [NAMES], entries: [], away: [] } as unknown as Bank;
const TRAY = { version: 1, setup: newTraySetup(), lines: [] } as Tray;

const saved = ({ collection, content }: NewEntry): Entry => ({
  ...{ id: crypto.randomUUID(), collection, revision: 1, content },
  ...{ savedBy: 'Imke Tarrow', savedAt: '2026-11-30T09:00:00.000Z', reason: '', varies: null },
});

let sent: Sent[];
let restore: () => void;
/** What the server says against it; null where it takes it. */
let against: string | null;
/** Has what is sent arrive. */
let arrive: () => void;

beforeEach(() => {
  queryClient.clear();
  against = null;
  ({ sent, restore } = answering((to, body) => {
    if (to.startsWith('GET')) return { status: 503, json: null };
    return against ? refusal('cue-taken', against) : { status: 201, json: saved(body as NewEntry) };
  }));
  const answered = globalThis.fetch;
  const held = new Promise<void>((go) => (arrive = go));
  globalThis.fetch = async (...asked) => {
    await held;
    return answered(...asked);
  };
  render(
    <ShellContext.Provider value={{ member: { id: 'imke' } } as unknown as Shell}>
      <PatternForm index={makeIndex(BANK)} tray={TRAY} />
    </ShellContext.Provider>,
    { wrapper: asking },
  );
});
afterEach(() => {
  cleanup();
  restore();
});

const line = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
const button = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save the pattern' });
const made = () => sent.filter(({ to }) => to.startsWith('POST')).map(({ body }) => body as NewEntry);

test('a pattern is put together, says what a file becomes, and is saved with its cue', async () => {
  arrive();
  expect(button().disabled).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Words' }));
  await userEvent.clear(line('Words of the pattern'));
  await userEvent.type(line('Words of the pattern'), 'Marsh');
  await userEvent.click(screen.getByRole('button', { name: 'Take Sender away' }));
  await userEvent.selectOptions(screen.getByLabelText('Between two pieces'), 'an underscore');
  expect(screen.getByText(/_\[subject\]_Marsh\.pdf/)).toBeTruthy();
  await userEvent.type(line('What it is called'), 'Invoices');
  expect(line('Cue').value).not.toBe('');
  await userEvent.click(button());
  expect(await screen.findByText(/Saved: “Invoices”/)).toBeTruthy();
  expect(made()).toMatchObject([{ collection: 'names', content: { title: 'Invoices' } }]);
});

test('a title that is typed while the one before is saved is for the next, and Enter twice saves once', async () => {
  await userEvent.type(line('What it is called'), 'Invoices{Enter}{Enter}');
  await userEvent.clear(line('What it is called'));
  await userEvent.type(line('What it is called'), 'Letters');
  await settled(() => arrive());
  await waitFor(() => expect(button().disabled).toBe(false));
  expect([line('What it is called').value, made().length]).toEqual(['Letters', 1]);
  await userEvent.click(button());
  expect(await screen.findByText(/Saved: “Letters”/)).toBeTruthy();
  expect(made().map(({ content }) => content.title)).toEqual(['Invoices', 'Letters']);
});

test('one that is refused stays as it is, and is sent again by the same key', async () => {
  against = 'That cue is taken.';
  arrive();
  await userEvent.type(line('What it is called'), 'Invoices{Enter}');
  expect(await screen.findByText('That cue is taken.')).toBeTruthy();
  expect(line('What it is called').value).toBe('Invoices');
  against = null;
  await userEvent.click(button());
  expect(await screen.findByText(/Saved: “Invoices”/)).toBeTruthy();
  const keys = made().map((body) => (body as NewEntry & { key: string }).key);
  expect(keys[0]).toBe(keys[1]);
});
