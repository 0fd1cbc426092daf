import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { Case, RecordListChange } from '#contracts';
import { changedList, emptyRecord, putBack, type CaseRecord, type Medicine } from '#core/record';
import { answering, refusal } from '../../client/testing/answering';
import { KEYS, queryClient } from '../api';
import { CorrectLists } from './CorrectLists';

const medicine = (name: string): Medicine => ({
  ...{ name, dose: '1 mg', status: 'active', since: '2026-01-10', until: null, source: 'Form' },
});
const caseWith = (record: CaseRecord): Case => ({
  ...{ id: 'dune', kind: 'admission', title: 'Dune', number: null, summary: '' },
  ...{ openedAt: '2026-01-10T10:00:00.000Z', closed: false, draft: null, unfinished: 0, finished: 0 },
  ...{ record, drafts: [], given: ['imke'], files: [] },
});

/** The record as the server has it, and whether it can be reached. */
let server: { record: CaseRecord; isGone: boolean };
let restore: () => void;

function answerOf(to: string, body: unknown) {
  if (to.startsWith('GET')) return { json: caseWith(server.record) };
  if (server.isGone) return refusal('gone', 'The server could not be reached.');
  const change = body as RecordListChange;
  const by = { by: 'Imke Tarrow', on: '2026-12-01', at: '2026-12-01T08:00:00.000Z' };
  const now =
    change.list === 'removed' ? putBack(server.record, change.back) : changedList(server.record, change, by);
  if (typeof now === 'string') return refusal('conflict', 'It was changed meanwhile.');
  server.record = now;
  return { json: caseWith(now) };
}

function Page() {
  const { data } = useQuery<Case>({ queryKey: KEYS.case('dune'), enabled: false });
  return data ? <CorrectLists one={data} /> : null;
}
beforeEach(() => {
  queryClient.clear();
  server = {
    record: { ...emptyRecord(), medicines: [medicine('Meloxicam'), medicine('Fenbendazole')] },
    isGone: false,
  };
  queryClient.setQueryData(KEYS.case('dune'), caseWith(server.record));
  ({ restore } = answering(answerOf));
  render(
    <QueryClientProvider client={queryClient}>
      <Page />
    </QueryClientProvider>,
  );
});
afterEach(() => {
  cleanup();
  restore();
});

const medicines = () => within(screen.getByRole('region', { name: 'Medicines' }));
const press = (name: string | RegExp) => userEvent.click(medicines().getByRole('button', { name }));
const line = (name: string) => medicines().getByRole<HTMLInputElement>('textbox', { name });
const names = () => server.record.medicines.map(({ name }) => name);

test('one is added; the form goes, and the keys are where the next is added', async () => {
  await press('Add a medicine');
  await userEvent.type(line('Medicine'), 'Tramadol{Enter}');
  await waitFor(() => expect(names()).toContain('Tramadol'));
  await waitFor(() => expect(medicines().queryByRole('form')).toBeNull());
  expect(document.activeElement).toBe(medicines().getByRole('button', { name: 'Add a medicine' }));
});

test('what is being written stays while another line is removed, and put back', async () => {
  await press('Add a medicine');
  await userEvent.type(line('Medicine'), 'Trama');
  await press(/^Remove Fenbendazole/);
  await waitFor(() => expect(names()).toEqual(['Meloxicam']));
  expect(line('Medicine').value).toBe('Trama');
  await press(/^Put back Fenbendazole/);
  await waitFor(() => expect(names()).toContain('Fenbendazole'));
  await userEvent.type(line('Medicine'), 'dol{Enter}');
  await waitFor(() => expect(names()).toContain('Tramadol'));
});

test('what cannot be saved keeps its form and its words, says why, and can be saved again', async () => {
  await press(/^Correct Meloxicam/);
  server.isGone = true;
  await userEvent.clear(line('Dose'));
  await userEvent.type(line('Dose'), '0.05 mg{Enter}');
  expect(await medicines().findByText('The server could not be reached.')).toBeDefined();
  expect(line('Dose').value).toBe('0.05 mg');
  server.isGone = false;
  await press('Save');
  await waitFor(() => expect(medicines().queryByRole('form')).toBeNull());
  expect(server.record.medicines[0]).toMatchObject({ name: 'Meloxicam', dose: '0.05 mg' });
  // What the source said is told beside it, and one step away.
  await press('Back to that');
  await waitFor(() => expect(server.record.medicines[0]).toMatchObject({ dose: '1 mg' }));
});

test('what is half written of one line is there again after another was looked at; given up or saved it is over', async () => {
  await press(/^Correct Meloxicam/);
  await userEvent.type(line('Dose'), ' twice');
  await press(/^Correct Fenbendazole/);
  expect(line('Dose').value).toBe('1 mg');
  await press(/^Correct Meloxicam/);
  expect(line('Dose').value).toBe('1 mg twice');
  await press('Cancel');
  await press(/^Correct Meloxicam/);
  expect(line('Dose').value).toBe('1 mg');
  await userEvent.type(line('Dose'), ' daily{Enter}');
  await waitFor(() => expect(server.record.medicines[0]).toMatchObject({ dose: '1 mg daily' }));
  await press('Add a medicine');
  expect(line('Medicine').value).toBe('');
});
