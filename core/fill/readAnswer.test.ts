import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { addDays } from '#core/calendar';
import { FieldSchema, type Field } from '#core/entry';
import { readAnswer, typedForm, wordsOf } from './index';

const shared = { question: '', hint: '' };
const FIELDS: Field[] = [
  { ...shared, id: 'word', name: 'Word', kind: 'text', required: true, starting: '' },
  { ...shared, id: 'day', name: 'Day', kind: 'date', required: true, starting: 'none' },
  { ...shared, id: 'hour', name: 'Hour', kind: 'time', required: true },
  {
    ...shared,
    id: 'dose',
    name: 'Dose',
    kind: 'number',
    required: true,
    unit: 'ml',
    min: 1,
    max: 50,
    decimals: null,
  },
];

describe('reading what is typed', () => {
  const clock = { today: '2026-11-24', now: '10:42' };
  const field = (id: string) => FIELDS.find((one) => one.id === id)!;
  test.each([
    ['dose', '12,5', 'number-unread', true],
    ['dose', '60', 'number-high', true],
    ['dose', '0.5', 'number-low', true],
    ['dose', '12.5 ml', null, false],
    ['day', 'soonish', 'date-unread', true],
    ['day', '4/3/1866', 'date-far', false],
    ['day', '4/3/1926', null, false],
    ['hour', 'noonish', 'time-unread', true],
    ['word', 'anything', null, false],
  ])('%s typed as %j: %s', (id, typed, code, unread) => {
    const { answer, problem } = readAnswer(field(id), typed, clock, 'en-GB');
    expect([problem?.code ?? null, problem?.unread ?? false]).toEqual([code, unread]);
    // Nothing typed is lost: an unread answer is the text itself.
    if (unread) expect(answer).toEqual({ kind: 'text', text: typed });
    expect(wordsOf(field(id), answer ?? undefined, 'as-is', 'en-GB') === '').toBe(unread);
  });

  test.each([
    ['Date of birth', '1/12/2026', 'date-future'],
    ['Date of birth', '4mar57', null],
    ['Date of birth', '1/1/1890', 'date-far'],
    ['Hatched', '1/6/2026', null],
    ['Next appointment', '24/11/2025', 'date-past'],
    ['Next appointment', '24/11/2027', null],
    ['Found on', '30/11/2026', 'date-future'],
    ['Open day', '24/11/2090', 'date-far'],
    ['Open day', '24/11/1986', null],
  ])('a day is implausible by what it is of: %s, %s', (name, typed, code) => {
    expect(readAnswer({ ...field('day'), name }, typed, clock, 'en-GB').problem?.code ?? null).toBe(code);
  });

  test.each([
    ['530', 'g', 530, null],
    ['530 g', 'g', 530, null],
    ['0.53 kg', 'kg', 0.53, null],
    ['5300', 'g', 5300, 'number-unlike'],
    ['5.3 kg', 'kg', 5.3, 'number-unlike'],
    ['12', 'g', 12, 'number-unlike'],
  ])(
    'an amount of the record given by hand as %j keeps its unit and is of today',
    (typed, unit, value, code) => {
      const detail = FieldSchema.parse({ id: 'w', name: 'Weight', kind: 'detail', path: 'weight' });
      const known = { kind: 'quantity', value: 512, unit: 'g' } as const;
      const { answer, problem } = readAnswer(detail, typed, clock, 'en-GB', known);
      expect(answer).toEqual({
        kind: 'detail',
        value: { kind: 'quantity', value, unit },
        source: 'typed here',
        asOf: clock.today,
      });
      expect(problem?.code ?? null).toBe(code);
      expect(readAnswer(detail, 'heavy', clock, 'en-GB', known).answer).toEqual({
        kind: 'text',
        text: 'heavy',
      });
    },
  );

  test('an answer is read back from the form in which it is typed again', () => {
    const dates = fc.integer({ min: 0, max: 20_000 }).map((days) => addDays('1990-01-01', days));
    const given = fc.oneof(
      dates.map((date) => ['day', { kind: 'date' as const, date }] as const),
      fc
        .integer({ min: 10, max: 500 })
        .map((n) => ['dose', { kind: 'number' as const, value: n / 10 }] as const),
      fc
        .constantFrom('00:00', '09:30', '23:59')
        .map((time) => ['hour', { kind: 'time' as const, time }] as const),
    );
    fc.assert(
      fc.property(given, fc.constantFrom('en-GB', 'de', 'cy', 'es', 'fr'), ([id, answer], language) => {
        expect(readAnswer(field(id), typedForm(field(id), answer, language), clock, language).answer).toEqual(
          answer,
        );
      }),
    );
  });
});
