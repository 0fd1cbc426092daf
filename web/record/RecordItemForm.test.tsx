import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import {
  emptyRecord,
  type CaseRecord,
  type Measurement,
  type RecordList,
  type WrittenItem,
} from '#core/record';
import { RecordItemForm } from './RecordItemForm';

const WEIGHT: Measurement = {
  ...{ code: 'weight', label: 'Weight', value: 412, unit: 'g', measured: '2026-01-10' },
  ...{ minute: 540, by: 'Odile Brandt', source: 'Form' },
};
const RECORD: CaseRecord = { ...emptyRecord(), measurements: [WEIGHT] };

let saved: WrittenItem['item'][];
let cancelled: number;
function page(
  list: RecordList,
  { had = null, isPending = false }: { had?: WrittenItem['item'] | null; isPending?: boolean } = {},
) {
  render(
    <RecordItemForm
      {...{ list, had, isPending }}
      begun={new Map()}
      name="new"
      record={RECORD}
      save={(now) => saved.push(now)}
      cancel={() => (cancelled += 1)}
    />,
  );
}
const line = (name: string) =>
  screen.getByRole<HTMLInputElement>(/measured$/.test(name) ? 'combobox' : 'textbox', { name });
async function write(name: string, text: string): Promise<void> {
  await userEvent.clear(line(name));
  await userEvent.type(line(name), text);
}
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const alerts = () => screen.queryAllByRole('alert').map(({ textContent }) => textContent);

beforeEach(() => {
  [saved, cancelled] = [[], 0];
});
afterEach(cleanup);

describe('a measurement', () => {
  test('is written in one line, name, amount and day, and Enter', async () => {
    page('measurements');
    expect(document.activeElement).toBe(line('What was measured'));
    await userEvent.keyboard('weight 420 g 12 jan 2026{Enter}');
    expect(saved).toMatchObject([
      { code: 'weight', label: 'Weight', value: 420, unit: 'g', measured: '2026-01-12' },
    ]);
  });

  test('takes the unit of the one before it, in the way the reader writes numbers', async () => {
    page('measurements');
    await write('What was measured', 'Weight');
    await write('Amount', '420.5');
    await write('Measured on', '12 jan 2026{Enter}');
    expect(saved).toMatchObject([{ value: 420.5, unit: 'g' }]);
  });

  test.each<[string, string, string, string]>([
    ['', '420 g', '12 jan 2026', 'Say what it is.'],
    [
      'Weight',
      'a lot',
      '12 jan 2026',
      'No amount can be read in this: a number and its unit, such as 512 g.',
    ],
    ['Girth', '12', '12 jan 2026', 'Say its unit too, such as 36.5 °C.'],
    ['Weight', '420 g', 'some day', 'Not a date yet.'],
    ['Weight', '420 g', '12 jan 2090', 'This day is still to come.'],
  ])('%j, %j, %j: %s', async (what, amount, day, told) => {
    page('measurements');
    await userEvent.clear(line('Measured on'));
    for (const [name, text] of [
      ['What was measured', what],
      ['Amount', amount],
      ['Measured on', day],
    ] as const)
      if (text) await userEvent.type(line(name), text);
    // Nothing is held against someone who is still writing.
    expect(alerts()).toEqual([]);
    await press('Add');
    expect(alerts()).toEqual([told]);
    expect(saved).toEqual([]);
  });

  test('hardly like the one before it is asked about once, with what that one was', async () => {
    page('measurements');
    await userEvent.keyboard('weight 4120 g 12 jan 2026{Enter}');
    expect(saved).toEqual([]);
    expect(screen.getByText(/It was 412\sg on January 10, 2026/)).toBeDefined();
    await press('It is right');
    expect(saved).toMatchObject([{ value: 4120 }]);
  });

  test('written otherwise after it was asked about it is asked about again', async () => {
    page('measurements');
    await userEvent.keyboard('weight 4120 g 12 jan 2026{Enter}');
    await write('What was measured', 'weight 41200 g 12 jan 2026{Enter}');
    expect(saved).toEqual([]);
    expect(screen.getByText('Is this amount right?')).toBeDefined();
    await write('What was measured', 'weight 420 g 12 jan 2026{Enter}');
    expect(saved).toMatchObject([{ value: 420 }]);
  });

  test('that is corrected keeps when and by whom it was taken, unless it was another day', async () => {
    page('measurements', { had: WEIGHT });
    expect(line('Amount').value).toBe('412 g');
    await write('Amount', '421 g');
    await press('Save');
    await write('Measured on', '11 jan 2026{Enter}');
    expect(saved).toMatchObject([
      { value: 421, minute: 540, by: 'Odile Brandt', measured: '2026-01-10' },
      { value: 421, minute: null, measured: '2026-01-11' },
    ]);
  });
});

test('a medicine may begin later, and ends on a day of its own', async () => {
  page('medicines');
  await write('Medicine', 'Meloxicam');
  await write('Dose', '0.05 mg/kg once a day');
  await userEvent.selectOptions(screen.getByRole('combobox', { name: 'State' }), 'planned');
  await write('Since', '12 jan 2090');
  await write('Until', '19 jan 2090{Enter}');
  expect(saved).toMatchObject([
    {
      name: 'Meloxicam',
      dose: '0.05 mg/kg once a day',
      status: 'planned',
      since: '2090-01-12',
      until: '2090-01-19',
    },
  ]);
});

test('a day typed short is read back; one written out is not', async () => {
  page('problems');
  await write('Since', '4 mar 2026');
  expect(screen.getByText('March 4, 2026')).toBeDefined();
  await write('Since', 'March 4, 2026');
  expect(screen.queryByText('March 4, 2026')).toBeNull();
});

test('what is being saved is not saved twice; Escape leaves it', async () => {
  page('problems', { isPending: true });
  await write('Problem', 'Wound on the flank{Enter}');
  expect(saved).toEqual([]);
  await userEvent.keyboard('{Escape}');
  expect(cancelled).toBe(1);
});
