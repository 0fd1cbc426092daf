import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Collection, Entry } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry } from '#core/entry';
import { answering } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';
import { asking } from '../testing/settled';
import { PrintPage } from './PrintPage';

const collection = (id: string) =>
  ({
    id,
    name: id,
    leadIn: ';',
    right: 'keep',
    parent: null,
    own: false,
    kindsOfWork: [],
    cueRules: DEFAULT_CUE_RULES,
  }) as unknown as Collection;
const entry = (id: string, of: string, cue?: string): Entry => ({
  ...{ id, collection: of, revision: 1, savedBy: '', savedAt: '2026-11-30T09:00:00.000Z', reason: '' },
  content: { ...newEntry(id, 'en-GB'), cues: cue ? [{ text: cue }] : [] },
  varies: null,
});
const ENTRIES = [entry('Fed', 'ward', 'f'), entry('Seen', 'ward', 's'), entry('Kept', 'ward')];

let restore: () => void;
/** What of the bank has not come yet. */
let away: string[];
const print = jest.fn();

beforeEach(() => {
  queryClient.clear();
  away = [];
  print.mockClear();
  window.print = print;
  // The page of the tests has no sheets of styles that are made by hand.
  Object.assign(globalThis, {
    CSSStyleSheet: class {
      replaceSync = () => undefined;
    },
  });
  Object.assign(document, { adoptedStyleSheets: [] });
  ({ restore } = answering(() => ({ status: 503, json: null })));
});
afterEach(() => {
  cleanup();
  restore();
});

function show(at = '/bank/print') {
  queryClient.setQueryData(KEYS.bank, {
    collections: ['ward', 'wing'].map(collection),
    entries: ENTRIES,
    away,
  });
  render(
    <MemoryRouter initialEntries={[at]}>
      <ShellContext.Provider value={{ member: { id: 'imke', name: 'Imke Tarrow' } } as unknown as Shell}>
        <PrintPage />
      </ShellContext.Provider>
    </MemoryRouter>,
    { wrapper: asking },
  );
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

test('the button says how many entries are on the paper, and of a card how many cues', async () => {
  show();
  await userEvent.click(button('Print 3 entries'));
  expect(print).toHaveBeenCalledTimes(1);
  await userEvent.selectOptions(screen.getByLabelText('Print'), 'a card of my cues, on one page');
  expect(button('Print 2 cues').disabled).toBe(false);
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Cues of Imke Tarrow');
  expect(screen.queryByText('Kept')).toBeNull();
});

test('nothing is printed of which a part has not come yet, nor an empty paper', () => {
  away = ['ward'];
  show('/bank/print?in=ward');
  expect(button('Print 3 entries').disabled).toBe(true);
  cleanup();
  away = [];
  show('/bank/print?in=wing');
  expect(button('Print 0 entries').disabled).toBe(true);
});
