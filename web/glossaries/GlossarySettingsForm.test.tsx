import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Glossary, GlossarySettings } from '#contracts';
import { answering, type Sent } from '../../client/testing/answering';
import { asking } from '../testing/settled';
import { GlossarySettingsForm } from './GlossaryPage';

const GLOSSARY: Glossary = {
  ...{ id: 'breeds', name: 'Breeds', language: 'en-GB', kindsOfWork: [], shipped: null },
  ...{ right: 'keep', version: 3, count: 3, priority: 5, careful: false, letters: [] },
};

let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  ({ sent, restore } = answering((to, body) =>
    to.startsWith('GET /api/team-settings')
      ? { status: 503, json: null }
      : { json: { ...GLOSSARY, ...(body as GlossarySettings), version: 9 } },
  ));
});
afterEach(() => {
  cleanup();
  restore();
});

const show = (glossary: Glossary) => {
  const form = (of: Glossary) => (
    <MemoryRouter>
      <GlossarySettingsForm glossary={of} />
    </MemoryRouter>
  );
  const { rerender } = render(form(glossary), { wrapper: asking });
  return (now: Glossary) => rerender(form(now));
};
const name = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Name' });
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Save' });
const changes = () => sent.filter(({ to }) => !to.startsWith('GET'));

test('what is set stays when somebody adds a term, and is saved as a change of the glossary as it is now', async () => {
  const now = show(GLOSSARY);
  await userEvent.type(name(), ' of dogs');
  now({ ...GLOSSARY, version: 4, count: 4 });
  expect(name().value).toBe('Breeds of dogs');
  await userEvent.click(save());
  await waitFor(() => expect(changes()).toHaveLength(1));
  expect(changes()[0]).toMatchObject({ version: 4, body: { name: 'Breeds of dogs', priority: 5 } });
});

test('what another owner sets meanwhile is followed, and asked about where it is the same', async () => {
  const now = show(GLOSSARY);
  await userEvent.type(name(), '!');
  now({ ...GLOSSARY, version: 4, priority: 8 });
  expect(screen.getByRole<HTMLSelectElement>('combobox', { name: 'Priority' }).value).toBe('8');
  now({ ...GLOSSARY, version: 5, priority: 8, name: 'Dogs' });
  expect(name().value).toBe('Breeds!');
  expect(save().disabled).toBe(true);
  await userEvent.click(screen.getByRole('button', { name: 'Keep mine and save over it' }));
  await userEvent.click(save());
  await waitFor(() =>
    expect(changes()).toMatchObject([{ version: 5, body: { name: 'Breeds!', priority: 8 } }]),
  );
});

test('it is deleted only once it was said what goes along', async () => {
  show(GLOSSARY);
  await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
  expect(screen.getByRole('alert').textContent).toContain('It goes to the wastebasket, with its 3 terms.');
  // Thought better of, it stays.
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await userEvent.click(screen.getByRole('button', { name: 'Delete' }));
  expect(changes()).toEqual([]);
  await userEvent.click(screen.getByRole('button', { name: 'Delete it' }));
  await waitFor(() => expect(changes()).toMatchObject([{ to: 'DELETE /api/glossaries/breeds', version: 3 }]));
});
