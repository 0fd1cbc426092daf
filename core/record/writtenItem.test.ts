import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyItem, emptyRecord, formOf, measuredIn, readItem, type CaseRecord, type Measurement } from '.';

const written = { today: '2026-11-27', language: 'en-GB' };
const weighed = (value: number, measured: string): Measurement => ({
  ...{ code: 'weight', label: 'Weight', value, unit: 'g', measured, minute: 540, by: 'Odile' },
  source: 'Observation',
});
const record: CaseRecord = {
  ...emptyRecord(),
  measurements: [weighed(512, '2026-11-25'), weighed(412, '2026-11-17')],
};
const measuring = (form: object, had: Measurement | null = null, of = record) =>
  readItem('measurements', { ...emptyItem('measurements', written), ...form }, { had, record: of, written });

test.each([
  ['530 g', 530, 'g'],
  ['530', 530, 'g'],
  ['0.53 kg', 0.53, 'kg'],
])('a weight typed as %s', (amount, value, unit) => {
  expect(measuring({ what: 'weight', amount })).toMatchObject({
    item: { item: { code: 'weight', label: 'Weight', value, unit, measured: '2026-11-27', minute: null } },
    before: null,
  });
});

test.each([
  [{ what: 'weight', amount: '412 g 16 nov' }, 412, '2026-11-16'],
  [{ what: 'weight 412 g 16 nov' }, 412, '2026-11-16'],
  [{ what: 'weight 0.4 kg -2' }, 0.4, '2026-11-25'],
  [{ what: 'weight 412 g' }, 412, '2026-11-27'],
  [{ what: 'weight', amount: '412 16/11/2026' }, 412, '2026-11-16'],
])('in one line: %j', (form, value, measured) => {
  expect(measuring(form)).toMatchObject({ item: { item: { code: 'weight', value, measured } } });
});

test('a name that holds a number, and an amount that ends in no day, stay what they are', () => {
  expect(measuring({ what: 'T4 level', amount: '5 g' })).toMatchObject({
    item: { item: { label: 'T4 level', value: 5 } },
  });
  expect(measuring({ what: 'weight', amount: '412 g or so' })).toMatchObject({
    faults: [{ field: 'amount', code: 'no-amount' }],
  });
});

test.each(['allergies', 'immunisations', 'procedures', 'goals', 'stays'] as const)(
  'an item of %s comes back from its form as it was',
  (list) => {
    const form = { ...emptyItem(list, written), what: 'Seen', note: 'well', since: '16 nov' };
    const read = readItem(list, form, { had: null, record, written });
    if (!('item' in read)) throw new Error(JSON.stringify(read));
    expect(read.item.item).toMatchObject({ label: 'Seen', note: 'well', since: '2026-11-16' });
    expect(readItem(list, formOf(read.item, written), { had: null, record, written })).toEqual(read);
  },
);

test('what was done was not done tomorrow, and what is planned may be', () => {
  const form = { ...emptyItem('immunisations', written), what: 'Distemper', since: '30 nov 2026' };
  const of = { had: null, record, written };
  expect(readItem('immunisations', form, of)).toEqual({ faults: [{ field: 'since', code: 'day-ahead' }] });
  expect(readItem('immunisations', { ...form, status: 'planned' }, of)).toMatchObject({
    item: { item: { status: 'planned', since: '2026-11-30' } },
  });
});

test.each([
  [{ what: '', amount: '5 g' }, 'what', 'empty'],
  [{ what: 'Weight', amount: 'heavy' }, 'amount', 'no-amount'],
  [{ what: 'Temperature', amount: '36' }, 'amount', 'no-unit'],
  [{ what: 'Weight', amount: '5 g', since: '' }, 'since', 'no-day'],
  [{ what: 'Weight', amount: '5 g', since: 'soon' }, 'since', 'no-day'],
  [{ what: 'Weight', amount: '5 g', since: '28 nov 2026' }, 'since', 'day-ahead'],
])('%j cannot be written down: %s, %s', (form, field, code) => {
  expect(measuring(form)).toEqual({ faults: [{ field, code }] });
});

test('an amount hardly like the last is told with that, in whatever unit', () => {
  expect(measuring({ what: 'Weight', amount: '5120' })).toMatchObject({ before: { value: 512 } });
  expect(measuring({ what: 'Weight', amount: '0.6 kg' })).toMatchObject({ before: null });
  expect(measuring({ what: 'Weight', amount: '600 kg' })).toMatchObject({ before: { value: 512 } });
});

test('corrected on its day it keeps its time and who measured; on another day there is no time', () => {
  const [had] = record.measurements;
  const form = { ...formOf({ list: 'measurements', item: had! }, written), amount: '521 g' };
  expect(measuring(form, had)).toMatchObject({ item: { item: { value: 521, minute: 540, by: 'Odile' } } });
  expect(measuring({ ...form, since: '24 nov' }, had)).toMatchObject({
    item: { item: { measured: '2026-11-24', minute: null } },
  });
});

test('what this record measures is among what can be picked, and found by its name', () => {
  const heart = { ...weighed(180, '2026-11-25'), code: 'heart rate', label: 'Heart rate', unit: '/min' };
  const of = { ...record, measurements: [...record.measurements, heart] };
  expect(measuredIn(of).map(({ label }) => label)).toEqual(['Weight', 'Temperature', 'Heart rate']);
  expect(measuring({ what: 'heart RATE', amount: '190' }, null, of)).toMatchObject({
    item: { item: { code: 'heart rate', label: 'Heart rate', unit: '/min' } },
  });
});

describe('medicines and problems', () => {
  const reading = (list: 'medicines' | 'problems', form: object) =>
    readItem(list, { ...emptyItem(list, written), ...form }, { had: null, record, written });

  test('days may be left open, and what is not given is nothing', () => {
    const form = { what: ' Levamisole ', dose: ' ', since: '', status: 'ended', until: '-1' };
    expect(reading('medicines', form)).toMatchObject({
      item: {
        item: { name: 'Levamisole', dose: null, status: 'ended', since: null, until: '2026-11-26' },
      },
    });
    expect(reading('problems', { what: 'lungworm', since: '20 nov' })).toMatchObject({
      item: { item: { label: 'lungworm', status: 'active', since: '2026-11-20' } },
    });
  });

  test('a problem has begun; a medicine may be planned', () => {
    expect(reading('problems', { what: 'cough', since: '+2' })).toEqual({
      faults: [{ field: 'since', code: 'day-ahead' }],
    });
    expect(reading('medicines', { what: 'Levamisole', status: 'planned', since: '+2' })).toMatchObject({
      item: { item: { since: '2026-11-29' } },
    });
  });

  test('a name is needed, and days that can be read', () => {
    expect(reading('medicines', { since: 'when', until: 'later' })).toEqual({
      faults: [
        { field: 'what', code: 'empty' },
        { field: 'since', code: 'no-day' },
        { field: 'until', code: 'no-day' },
      ],
    });
  });
});

test('the form of an item, read again, says the same', () => {
  const day = fc.constantFrom('2026-01-31', '2025-12-01', '2026-11-27');
  const medicine = fc.record({
    name: fc.constantFrom('Levamisole', 'A b'),
    dose: fc.option(fc.constantFrom('27 mg/kg')),
    status: fc.constantFrom('active', 'ended', 'planned' as const),
    since: fc.option(day),
    until: fc.option(day),
    source: fc.constant(''),
  });
  fc.assert(
    fc.property(medicine, fc.constantFrom('en-GB', 'cy', 'de'), (item, language) => {
      const form = formOf({ list: 'medicines', item }, { ...written, language });
      const read = readItem('medicines', form, { had: item, record, written: { ...written, language } });
      expect(read).toMatchObject({ item: { item } });
    }),
  );
});
