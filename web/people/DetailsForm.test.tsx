import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Member } from '#contracts';
import { answering, refusal, type Sent } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { asking, settled } from '../testing/settled';
import { DetailsForm } from './DetailsForm';

const IMKE: Member = {
  ...{ id: 'imke', name: 'Imke Tarrow', role: 'owner', job: 'Nurse' },
  ...{ email: 'imke@hollin.example', phone: '' },
};

let sent: Sent[];
let restore: () => void;
/** What the server says against it; null where it takes it. */
let against: string | null;
/** Has what is sent arrive. */
let arrive: () => void;

beforeEach(() => {
  queryClient.clear();
  against = null;
  ({ sent, restore } = answering((_to, body) =>
    against ? refusal('not-valid', against) : { json: { ...IMKE, ...(body as object) } },
  ));
  const answered = globalThis.fetch;
  const held = new Promise<void>((go) => (arrive = go));
  globalThis.fetch = async (...asked) => {
    await held;
    return answered(...asked);
  };
});
afterEach(() => {
  cleanup();
  restore();
});

const show = () => {
  const { rerender } = render(<DetailsForm member={IMKE} />, { wrapper: asking });
  return (member: Member) => rerender(<DetailsForm {...{ member }} />);
};
const line = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
const button = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save your details' });

test('what is typed stays, whatever another window saves meanwhile, and goes out with that', async () => {
  const told = show();
  await userEvent.type(line('Job title'), ' in chief');
  told({ ...IMKE, phone: '01632 960 001', job: 'Vet' });
  expect([line('Job title').value, line('Phone').value]).toEqual(['Nurse in chief', '01632 960 001']);
  await userEvent.click(button());
  await settled(() => arrive());
  expect(sent.at(-1)!.body).toEqual({ name: 'Imke Tarrow', job: 'Nurse in chief', phone: '01632 960 001' });
});

test('what is typed on while it is saved stays, and can be saved too', async () => {
  const told = show();
  await userEvent.type(line('Phone'), '01632');
  await userEvent.click(button());
  await userEvent.type(line('Phone'), ' 960 002');
  await settled(() => arrive());
  told(queryClient.getQueryData<Member>(KEYS.session)!);
  expect([line('Phone').value, button().disabled, screen.queryByText('Saved.')]).toEqual([
    '01632 960 002',
    false,
    null,
  ]);
  await userEvent.click(button());
  await waitFor(() => expect(sent).toHaveLength(2));
  await settled(() => undefined);
  told(queryClient.getQueryData<Member>(KEYS.session)!);
  expect(sent.map(({ body }) => (body as { phone: string }).phone)).toEqual(['01632', '01632 960 002']);
  expect(await screen.findByText('Saved.')).toBeTruthy();
  expect(button().disabled).toBe(true);
});

test('what is refused stays, and says why', async () => {
  show();
  against = 'Not so long.';
  arrive();
  await userEvent.type(line('Name'), 's{Enter}');
  expect(await screen.findByText('Not so long.')).toBeTruthy();
  expect(line('Name').value).toBe('Imke Tarrows');
});
