import { describe, expect, test } from '@jest/globals';
import { FieldSchema, fieldForBlank, readyFields, type Field } from '.';

const READY = readyFields([
  { path: 'name', label: 'Name' },
  { path: 'ward', label: 'Ward' },
]);
const ready = (label: string) => READY.find((one) => one.label === label)!;

test.each(READY)('$label is a whole field, under an id and a name of its own', ({ make }) => {
  const first = make([], '');
  expect(FieldSchema.safeParse(first).success).toBe(true);
  const second = make([first], '');
  expect(second.id).not.toBe(first.id);
  expect(second.name).not.toBe(first.name);
});

test('what is asked for is named after the words it takes the place of; what is found by what it is', () => {
  expect(ready('A choice').make([], 'left wing').name).toBe('Left wing');
  expect(ready('Today’s date').make([], 'the 4th').name).toBe('Today');
  expect(ready('Ward').make([], 'ward two')).toMatchObject({ name: 'Ward', kind: 'detail', path: 'ward' });
});

describe('what says the same is taken instead of another', () => {
  const made = (label: string, fields: readonly Field[] = []) => ready(label).make(fields, '');

  test.each(['Today’s date', 'Name of the writer', 'Ward'])('%s', (label) => {
    const there = made(label);
    expect(fieldForBlank([made('Name'), there], '', ready(label))).toEqual({ field: there, isNew: false });
    expect(fieldForBlank([made('A choice')], '', ready(label)).isNew).toBe(true);
  });

  test.each(['A choice', 'A number', 'A date', 'A yes or no'])('%s is asked for each time', (label) => {
    expect(fieldForBlank([made(label)], '', ready(label)).isNew).toBe(true);
  });

  test('another day that is worked out is no today', () => {
    const today = made('Today’s date') as Extract<Field, { kind: 'computed' }>;
    const later = { ...today, calculation: { by: 'formula' as const, formula: 'TODAY() + 1' } };
    expect(fieldForBlank([later], '', ready('Today’s date')).isNew).toBe(true);
    expect(fieldForBlank([today], '', ready('Today’s date')).isNew).toBe(false);
  });
});
