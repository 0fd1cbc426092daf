import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { BatchRow } from '#contracts';
import { emptySetup, type BatchSetup } from '#core/batch';
import type { Condition } from '#core/entry';
import { AddRules } from './AddRules';

const SETUP: BatchSetup = {
  ...emptySetup('en-GB'),
  columns: ['Decision', 'Number'].map((head) => ({
    ...{ id: head.toLowerCase(), head, kind: 'text', fills: null, monthFirst: false, decimalComma: false },
  })) as BatchSetup['columns'],
};
const row = (position: number, ...cells: string[]): BatchRow => ({
  ...{ id: `${position}`, position, version: 1, cells, enquiry: null, file: null, entry: null },
  ...{ isHeld: false, checked: null, byHand: null, gone: null, goneAt: null, sending: null },
});
const ROWS = Array.from({ length: 30 }, (_, at) => row(at, at % 3 === 0 ? 'yes' : 'no', `N${at}`));

let added: (readonly Condition[])[];
beforeEach(() => {
  added = [];
  render(
    <AddRules setup={SETUP} rows={ROWS} isFirst={false} add={(conditions) => void added.push(conditions)} />,
  );
});
afterEach(cleanup);

const choose = async (head: string) => {
  const columns = screen.getByRole('combobox', { name: 'Add rules for each value of a column' });
  await userEvent.selectOptions(columns, head);
  // Acted on when it is left.
  await userEvent.tab();
};
const valuesOf = (conditions: readonly Condition[]) => conditions.map((one) => 'value' in one && one.value);

test('a column of few values makes a rule for each, and nothing is to be told', async () => {
  await choose('Decision');
  expect(added.map(valuesOf)).toEqual([['no', 'yes']]);
  expect(screen.getByRole('status').textContent).toBe('');
});

test('of a column with more values it is told for which there is no rule, until another is chosen', async () => {
  await choose('Number');
  expect(added.map(({ length }) => length)).toEqual([20]);
  expect(screen.getByRole('status').textContent).toBe(
    '“Number” has 30 different values. There are rules now for the 20 that most rows have. Rows with another wait to be decided by hand.',
  );
  await choose('Decision');
  expect(screen.getByRole('status').textContent).toBe('');
});

test('a rule of one’s own begins with the first column', async () => {
  await userEvent.click(screen.getByRole('button', { name: 'Add a rule' }));
  expect(added).toEqual([[expect.objectContaining({ field: 'decision' })]]);
});
