import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Bank, Collection, Entry } from '#contracts';
import { makeIndex } from '#core/bank';
import { newEntry } from '#core/entry';
import { KEYS, queryClient } from '../api';
import { asking } from '../testing/settled';
import { EntryPick } from './EntryPick';

const collection = (id: string, name: string) =>
  ({ id, name, leadIn: ';', changes: 1 }) as unknown as Collection;
const entry = (id: string, title: string, of: string) =>
  ({ id, collection: of, revision: 1, varies: null, content: newEntry(title, 'en-GB') }) as unknown as Entry;
const BANK: Bank = {
  collections: [collection('ward', 'Ward notes'), collection('post', 'Helpline')],
  entries: [
    entry('owl', 'Opening hours', 'ward'),
    entry('owl-post', 'Opening hours', 'post'),
    entry('gate', 'Opening the gate', 'ward'),
  ],
  away: [],
} as unknown as Bank;
const INDEX = makeIndex(BANK);

beforeEach(() => void queryClient.setQueryData(KEYS.bank, BANK));
afterEach(() => {
  cleanup();
  queryClient.clear();
});

const show = (except: string | null = null) => {
  const picked: string[] = [];
  render(
    <EntryPick
      label="Entry to insert"
      index={INDEX}
      value={null}
      except={except}
      pick={(id) => picked.push(id)}
    />,
    { wrapper: asking },
  );
  return picked;
};
const found = () =>
  within(screen.getByRole('listbox', { name: 'Entries found' }))
    .getAllByRole('option')
    .map((option) => option.textContent);
const line = () => screen.getByRole('combobox', { name: 'Entry to insert' });

test('of two entries that are called the same it is told where each is, and the one that is meant is picked by keys', async () => {
  const picked = show();
  await userEvent.type(line(), 'opening hours');
  expect(found().slice(0, 2).sort()).toEqual(['Opening hoursHelpline', 'Opening hoursWard notes']);
  const [first] = found();
  await userEvent.keyboard('{ArrowDown}{Enter}');
  const other = first!.endsWith('Helpline') ? 'owl' : 'owl-post';
  await waitFor(() => expect(picked).toEqual([other]));
});

test('an entry is not offered for itself', async () => {
  show('gate');
  await userEvent.type(line(), 'gate');
  expect(screen.getByRole('status').textContent).toBe('No entry has these words.');
});
