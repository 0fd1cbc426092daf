import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { DEFAULT_PREFERENCES, PreferencesSchema, type Preferences } from '#core/glossary';
import type { Signature } from '#core/signing';
import { queryClient } from '../api';
import { SignaturesForm } from './SignaturesForm';

const set = (label: string, phone = ''): Signature => ({
  ...{ id: label, label, name: '', job: '', email: '', address: '', kinds: [], collections: [] },
  phone,
});

/** What the server has, as other windows of the member leave it. */
let kept: Preferences;
const realFetch = globalThis.fetch;
beforeEach(() => {
  queryClient.clear();
  kept = { ...DEFAULT_PREFERENCES, signatures: [set('Office', '01'), set('School')] };
  const answer = (status: number, json: unknown) =>
    Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(json) } as Response);
  globalThis.fetch = (input, init) => {
    if (!(input as string).endsWith('/preferences'))
      return answer(404, { code: 'not-found', detail: 'Not there.' });
    if (init?.method !== 'PUT') return answer(200, kept);
    kept = PreferencesSchema.parse(JSON.parse(init.body as string));
    return answer(204, null);
  };
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

const page = () =>
  render(
    <QueryClientProvider client={queryClient}>
      <SignaturesForm />
    </QueryClientProvider>,
  );
const of = async (label: string) => within(await screen.findByRole('group', { name: label }));
const save = () => userEvent.click(screen.getByRole('button', { name: 'Save these sets' }));
const phones = () => Object.fromEntries((kept.signatures ?? []).map(({ label, phone }) => [label, phone]));

test('what another window saved meanwhile stays: its sets, and its other preferences', async () => {
  page();
  await userEvent.type((await of('School')).getByRole('textbox', { name: 'Phone' }), '22');
  kept = {
    ...kept,
    offers: 'off',
    signatures: [set('Office', '09'), set('School'), set('Helpline', '33')],
  };
  await save();
  await screen.findByText('Saved.');
  expect(phones()).toEqual({ Office: '09', School: '22', Helpline: '33' });
  expect(kept.offers).toBe('off');
  // They are told of here, too.
  expect((await of('Helpline')).getByRole<HTMLInputElement>('textbox', { name: 'Phone' }).value).toBe('33');
});

test('a set is added, called something before it can be saved, and another removed', async () => {
  page();
  await userEvent.click(await screen.findByRole('button', { name: 'Remove Office' }));
  await userEvent.click(screen.getByRole('button', { name: 'Add a set' }));
  const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Save these sets' });
  expect(button.disabled).toBe(true);
  await userEvent.keyboard('Ringing group');
  await save();
  await waitFor(() => expect(Object.keys(phones())).toEqual(['School', 'Ringing group']));
});
