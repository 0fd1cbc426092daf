import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Bank, Collection, Entry } from '#contracts';
import { makeIndex } from '#core/bank';
import { newEntry } from '#core/entry';
import { answering, refusal, type Sent } from '../../../client/testing/answering';
import { queryClient } from '../../api';
import { asking } from '../../testing/settled';
import { SelectedPanel } from './SelectedPanel';

const collection = { id: 'ward', name: 'Ward', leadIn: ';', right: 'keep', parent: null, own: false };
const entry = (id: string) =>
  ({ id, collection: 'ward', revision: 1, varies: null, content: newEntry(id, 'en-GB') }) as unknown as Entry;
const INDEX = makeIndex({
  collections: [collection as unknown as Collection],
  entries: [entry('owl'), entry('gate')],
  away: [],
} as unknown as Bank);

let refuses: boolean;
let sent: Sent[];
let restore: () => void;
beforeEach(() => {
  queryClient.clear();
  refuses = false;
  ({ sent, restore } = answering((to) => {
    if (to.startsWith('GET')) return { status: 503, json: null };
    return refuses
      ? refusal('moved-on', 'Somebody else saved one of them meanwhile. Nothing was changed.')
      : { json: { entries: [], deletions: [], proposals: [] } };
  }));
  render(
    <MemoryRouter>
      <SelectedPanel
        index={INDEX}
        selected={new Set(['owl', 'gate'])}
        select={() => undefined}
        close={() => undefined}
      />
    </MemoryRouter>,
    { wrapper: asking },
  );
});
afterEach(() => {
  cleanup();
  restore();
});

const tag = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Tag' });
const acts = () => sent.filter(({ to }) => to.startsWith('POST'));

test('a tag that could not be put stays where it was typed, and goes with the next try', async () => {
  refuses = true;
  await userEvent.type(tag(), 'winter{Enter}');
  await screen.findByText(/Somebody else saved one of them meanwhile/);
  expect(tag().value).toBe('winter');
  refuses = false;
  await waitFor(() => expect(tag().matches(':disabled')).toBe(false));
  await userEvent.type(tag(), '{Enter}');
  await waitFor(() => expect(tag().value).toBe(''));
  expect(acts()).toHaveLength(2);
});
