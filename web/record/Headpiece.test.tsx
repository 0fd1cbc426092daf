import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClientProvider } from '@tanstack/react-query';
import type { Case } from '#contracts';
import { emptyRecord, USUAL_RULES, type CaseRecord, type Measurement } from '#core/record';
import { KEYS, queryClient } from '../api';
import { useKeyListener, useLiveKeys } from '../shell';
import { useRemembered } from '../ui';
import { Headpiece } from './Headpiece';
import { RECORD_KEY } from './recordKey';

const measured = (more: Partial<Measurement>): Measurement => ({
  ...{ code: 'heart rate', label: 'Heart rate', value: 130, unit: 'a minute', measured: '2026-01-10' },
  ...{ minute: null, by: null, source: 'Measurement', usual: { low: 80, high: 120 } },
  ...more,
});
const RECORD: CaseRecord = {
  ...emptyRecord(),
  details: [
    { path: 'species', value: { kind: 'text', text: 'seal' }, source: 'Form', asOf: null },
    { path: 'reason', value: { kind: 'text', text: 'alone on the sand' }, source: 'Form', asOf: null },
  ],
  measurements: [measured({})],
  allergies: [
    { label: 'Iodine', note: 'rash', status: 'active', since: '2026-01-02', until: null, source: 'Form' },
  ],
};
const caseWith = (record: CaseRecord, kind: Case['kind'] = 'admission'): Case => ({
  ...{ id: 'dune', kind, title: 'Dune', number: null, summary: '' },
  ...{ openedAt: '2026-01-10T10:00:00.000Z', closed: false, draft: null, unfinished: 0, finished: 0 },
  ...{ record, drafts: [], given: ['imke'], files: [] },
});

function Page({ one }: { one: Case }) {
  useKeyListener();
  const [isOpen, toggle] = useRemembered('record-open', false);
  useLiveKeys([{ key: RECORD_KEY, does: 'Opens the record', run: toggle }]);
  return (
    <QueryClientProvider client={queryClient}>
      <Headpiece one={one} isOpen={isOpen} toggle={toggle} />
      <input aria-label="Elsewhere" />
    </QueryClientProvider>
  );
}

beforeEach(() => {
  localStorage.clear();
  queryClient.setQueryData(KEYS.teamSettings, {
    ...{ wastebasketDays: 30, kinds: null },
    records: { ...USUAL_RULES, old: [{ code: 'heart rate', days: 3650 }] },
  });
});
afterEach(cleanup);

test('folded the record is one line of what matters; Alt and C opens it and leaves the keys where they are', async () => {
  const user = userEvent.setup();
  render(<Page one={caseWith(RECORD)} />);
  const line = screen.getByRole('list', { name: 'The record in one line' });
  expect(
    within(line)
      .getAllByRole('listitem')
      .map(({ textContent }) => textContent),
  ).toEqual(['seal', expect.stringMatching(/^Heart rate 130 a minute ▲ high, /), 'Allergic to Iodine']);
  expect(screen.queryByText('alone on the sand')).toBeNull();
  const elsewhere = screen.getByRole('textbox', { name: 'Elsewhere' });
  await user.click(elsewhere);
  await user.keyboard('{Alt>}[KeyC]{/Alt}');
  expect(screen.getByText('alone on the sand')).toBeTruthy();
  expect(screen.getByText('usual: 80 to 120 a minute')).toBeTruthy();
  expect(screen.getByText('Iodine: rash, since January 2, 2026')).toBeTruthy();
  expect(document.activeElement).toBe(elsewhere);
  await user.keyboard('{Alt>}[KeyC]{/Alt}');
  expect(screen.queryByText('alone on the sand')).toBeNull();
});

test('whether it is open is remembered for the next leaf', async () => {
  render(<Page one={caseWith(RECORD)} />);
  await userEvent.click(screen.getByRole('button', { name: /^Open the record/ }));
  cleanup();
  render(<Page one={caseWith(RECORD)} />);
  expect(screen.getByRole('button', { name: /^Fold the record/ }).getAttribute('aria-expanded')).toBe('true');
});

test('of a record of which nothing is known there is nothing to open; a leaf of no case has none', () => {
  render(<Page one={caseWith(emptyRecord())} />);
  expect(screen.queryByRole('button', { name: /the record Alt/ })).toBeNull();
  expect(screen.getByRole('button', { name: 'Correct the record' })).toBeTruthy();
  cleanup();
  render(<Page one={caseWith(emptyRecord(), 'leaf')} />);
  expect(screen.queryByRole('region', { name: 'Record' })).toBeNull();
});
