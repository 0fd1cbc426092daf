import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { FieldSchema, type Calculation, type ComputedField, type Field } from '#core/entry';
import { CalculationSettings } from './CalculationSettings';

const OTHERS: Field[] = [
  { id: 'kg', name: 'weight', kind: 'number' },
  { id: 'before', name: 'weight before', kind: 'number' },
  { id: 'born', name: 'born on', kind: 'date' },
].map((field) => FieldSchema.parse(field));

let field: ComputedField;

function Page({ first }: { first: ComputedField }) {
  const [now, setNow] = useState(first);
  return (
    <CalculationSettings
      field={now}
      fields={[now, ...OTHERS]}
      change={(changed) => {
        field = changed;
        setNow(changed);
      }}
    />
  );
}
function page(calculation: Calculation): void {
  field = FieldSchema.parse({ id: 'c', name: 'dose', kind: 'computed', calculation }) as ComputedField;
  render(<Page first={field} />);
}
const dose: Calculation = {
  ...{ by: 'dose', weight: { field: 'kg' }, perKilogram: 1 },
  ...{ step: null, most: null },
};
async function write(name: string, text: string): Promise<void> {
  const line = screen.getByRole('spinbutton', { name });
  await userEvent.clear(line);
  if (text !== '') await userEvent.type(line, text);
}
const pick = (name: string, option: string) =>
  userEvent.selectOptions(screen.getByRole('combobox', { name }), option);
afterEach(cleanup);

describe('a dose by weight, typed key by key', () => {
  test.each(['0.05', '0.5', '2', '10.25'])(
    'is rounded to %s, not to what is read of it on the way',
    async (text) => {
      page(dose);
      await write('Rounded to', text);
      expect(field.calculation).toEqual({ ...dose, step: Number(text) });
    },
  );

  test.each(['0.05', '1.5', '12'])('%s for each kilogram', async (text) => {
    page(dose);
    await write('For each kilogram, the number', text);
    expect(field.calculation).toEqual({ ...dose, perKilogram: Number(text) });
  });

  test('what is taken out again, or nought, leaves it open', async () => {
    page({ ...dose, step: 0.5, most: 30 });
    await write('Rounded to', '');
    await write('At most', '0');
    expect(field.calculation).toEqual(dose);
  });

  test('of no weight in the entry: a number, and the other way round', async () => {
    page(dose);
    await pick('Weight', 'a number');
    expect(field.calculation).toEqual({ ...dose, weight: 1 });
    await write('Weight, the number', '0.4');
    expect(field.calculation).toEqual({ ...dose, weight: 0.4 });
    await pick('Weight', 'weight before');
    expect(field.calculation).toEqual({ ...dose, weight: { field: 'before' } });
  });
});

describe('another way begins with the first fields that fit it', () => {
  test.each<[string, Calculation]>([
    ['an age', { by: 'age', born: { field: 'born' }, at: 'today' }],
    ['the time between two days', { by: 'between', from: { field: 'born' }, to: 'today', step: 'days' }],
    [
      'the change from one number to another',
      { by: 'change', first: { field: 'kg' }, last: { field: 'kg' }, as: 'amount' },
    ],
    ['a day so many days, weeks ... away', { by: 'moved', from: 'today', count: 7, step: 'days' }],
  ])('%s', async (way, wanted) => {
    page(dose);
    await pick('Calculation', way);
    expect(field.calculation).toEqual(wanted);
  });

  test('a formula begins as what was picked, written out by the names of the fields', async () => {
    page({ ...dose, perKilogram: 0.05, step: 0.5 });
    await pick('Calculation', 'a formula');
    const { calculation } = field;
    expect(calculation.by).toBe('formula');
    expect(calculation).toHaveProperty('formula', expect.stringMatching(/weight.*0\.05/));
  });

  test('days away are counted backwards by a sign before them', async () => {
    page({ by: 'moved', from: 'today', count: 7, step: 'days' });
    await write('So many, the number', '-14');
    expect(field.calculation).toEqual({ by: 'moved', from: 'today', count: -14, step: 'days' });
  });
});

test('the unit and how many decimals', async () => {
  page(dose);
  await userEvent.type(screen.getByRole('textbox', { name: /^Unit/ }), 'mg');
  await pick('Decimals', '2');
  expect([field.unit, field.decimals]).toEqual(['mg', 2]);
  await pick('Decimals', 'as they come');
  expect(field.decimals).toBeNull();
});
