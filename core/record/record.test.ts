import { describe, expect, test } from '@jest/globals';
import {
  careDue,
  codeThatAges,
  detailsOf,
  emptyRecord,
  figures,
  joinAsProse,
  lookUp,
  seriesOf,
  valueInWords,
} from '.';
import type { CaseRecord, Measurement, RecurringCare, Value } from '.';

const TODAY = '2027-03-10';

const weight = (value: number, measured: string, more: Partial<Measurement> = {}): Measurement => ({
  code: 'weight',
  label: 'Weight',
  value,
  unit: 'g',
  measured,
  minute: null,
  by: null,
  source: 'Scales',
  ...more,
});
const record = (more: Partial<CaseRecord>): CaseRecord => ({ ...emptyRecord(), ...more });
const dated = (path: string, date: string) => ({
  path,
  value: { kind: 'date', date } as const,
  source: 'Admission form',
  asOf: null,
});
const inWords = (from: CaseRecord, path: string) => {
  const detail = lookUp(from, path, TODAY);
  return detail && valueInWords(detail.value, 'en-GB');
};

describe('what is worked out of a record', () => {
  const cases: [string, CaseRecord, string, string | null][] = [
    ['nothing is known', emptyRecord(), 'weight', null],
    ['one weight is no change', record({ measurements: [weight(500, '2027-03-01')] }), 'weight change', null],
    [
      'the latest weight is that of the latest day, wherever it stands',
      record({ measurements: [weight(530, '2027-03-09'), weight(500, '2027-03-01')] }),
      'weight',
      '530 g',
    ],
    [
      'of two on one day the later counts',
      record({
        measurements: [
          weight(530, '2027-03-09', { minute: 900 }),
          weight(512, '2027-03-09', { minute: 480 }),
        ],
      }),
      'weight',
      '530 g',
    ],
    [
      'a change is told without the noise of its sum',
      record({ measurements: [weight(0.1, '2027-03-01'), weight(0.3, '2027-03-02')] }),
      'weight change',
      '0.2 g',
    ],
    [
      'a loss is less than nothing',
      record({ measurements: [weight(500, '2027-03-01'), weight(480, '2027-03-02')] }),
      'weight change',
      '-20 g',
    ],
    [
      'two units of one thing are held against each other in the later one',
      record({ measurements: [weight(500, '2027-03-01'), weight(0.6, '2027-03-02', { unit: 'kg' })] }),
      'weight change',
      '0.1 kg',
    ],
    [
      'of two units of different things nothing is reckoned',
      record({ measurements: [weight(500, '2027-03-01'), weight(0.6, '2027-03-02', { unit: 'l' })] }),
      'weight change',
      null,
    ],
    ['one day is a day', record({ details: [dated('admitted', '2027-03-09')] }), 'days in care', '1 day'],
    ['the first day is none', record({ details: [dated('admitted', TODAY)] }), 'days in care', '0 days'],
    [
      'who is yet to come is not in care',
      record({ details: [dated('admitted', '2027-03-11')] }),
      'days in care',
      null,
    ],
    ['no age before birth', record({ details: [dated('born', '2027-04-01')] }), 'age', null],
    [
      'what is stored wins over what could be worked out',
      record({
        details: [
          {
            path: 'weight',
            value: { kind: 'text', text: 'about 500 g' },
            source: 'Letter',
            asOf: null,
          },
        ],
        measurements: [weight(530, '2027-03-09')],
      }),
      'weight',
      'about 500 g',
    ],
    [
      'of a path that stands twice the first counts',
      record({ details: [dated('admitted', '2027-03-08'), dated('admitted', '2027-03-01')] }),
      'admitted',
      '8 March 2027',
    ],
    [
      'medicines that ended are left out; a dose follows its name',
      record({
        medicines: [
          { name: 'Meloxicam', dose: '0.5 mg', status: 'active', since: null, until: null, source: 'Chart' },
          { name: 'Ketamine', dose: null, status: 'ended', since: null, until: null, source: 'Chart' },
          { name: 'Fluids', dose: null, status: 'active', since: null, until: null, source: 'Chart' },
        ],
      }),
      'medicines',
      'Meloxicam 0.5 mg and Fluids',
    ],
    [
      'without a problem there is no list of them',
      record({ problems: [{ label: 'Mange', status: 'resolved', since: null, source: 'Notes' }] }),
      'problems',
      null,
    ],
  ];
  test.each(cases)('%s', (_, from, path, words) => {
    expect(inWords(from, path)).toBe(words);
  });

  test('a list is as fresh as the latest thing in it', () => {
    const since = (day: string | null) => ({
      label: day ?? 'Some day',
      status: 'active' as const,
      since: day,
      source: 'Notes',
    });
    const problems = [since('2027-01-02'), since(null), since('2027-02-01')];
    expect(lookUp(record({ problems }), 'problems', TODAY)?.asOf).toBe('2027-02-01');
    expect(lookUp(record({ problems: [since(null)] }), 'problems', TODAY)?.asOf).toBeNull();
  });

  test('all details come in the order people know, then what else the record holds, each once', () => {
    const own = (path: string, label?: string) => ({
      path,
      ...(label ? { label } : {}),
      value: { kind: 'text', text: path } as const,
      source: 'Form',
      asOf: null,
    });
    const all = detailsOf(
      record({ details: [own('ring'), own('species'), own('pen', 'Pen in the yard'), own('name')] }),
      TODAY,
    );
    expect(all.map(({ label }) => label)).toEqual(['Name', 'Species', 'ring', 'Pen in the yard']);
  });

  test('only what is measured again and again is a series, oldest first', () => {
    const from = record({ measurements: [weight(2, '2027-03-02'), weight(1, '2027-03-01')] });
    expect(seriesOf(from, 'weight', TODAY).map(({ value }) => value)).toEqual([1, 2]);
    expect(seriesOf(from, 'name', TODAY)).toEqual([]);
  });
});

describe('care that comes round', () => {
  const care = (label: string, more: Partial<RecurringCare>): RecurringCare => ({
    label,
    every: { count: 1, step: 'weeks' },
    done: null,
    from: null,
    source: 'Plan',
    ...more,
  });
  const cases: [string, Partial<RecurringCare>, string | null, string | null][] = [
    ['done a week and a day ago', { done: '2027-03-02' }, '2027-03-09', 'overdue'],
    ['due today', { done: '2027-03-03' }, '2027-03-10', 'due'],
    ['three days ahead', { done: '2027-03-06' }, '2027-03-13', 'due'],
    ['four days ahead', { done: '2027-03-07' }, '2027-03-14', 'later'],
    ['never done', { from: '2027-03-01' }, '2027-03-01', 'overdue'],
    ['neither done nor to begin', {}, null, null],
    [
      'a month after the last of January',
      { done: '2027-01-31', every: { count: 1, step: 'months' } },
      '2027-02-28',
      'overdue',
    ],
    [
      'a year after the leap day',
      { done: '2028-02-29', every: { count: 1, step: 'years' } },
      '2029-02-28',
      'later',
    ],
    ['in days', { done: '2027-03-01', every: { count: 10, step: 'days' } }, '2027-03-11', 'due'],
  ];
  test.each(cases)('%s', (label, more, due, state) => {
    const [found] = careDue(record({ care: [care(label, more)] }), TODAY);
    expect([found?.due ?? null, found?.state ?? null]).toEqual([due, state]);
  });

  test('the most pressing first, and what is far off is not told as due', () => {
    const from = record({
      care: [
        care('Worming', { done: '2027-03-07' }),
        care('Weighing', { done: '2027-03-03' }),
        care('Screening', { from: '2027-03-01' }),
      ],
    });
    expect(careDue(from, TODAY).map(({ label }) => label)).toEqual(['Screening', 'Weighing', 'Worming']);
    expect(inWords(from, 'due')).toBe(
      'Screening: overdue since 1 March 2027, never done and Weighing: due 10 March 2027, last done 3 March 2027',
    );
    expect(lookUp(record({}), 'due', TODAY)).toBeNull();
  });

  test('in another language than English no English word stands between', () => {
    const from = record({
      care: [care('Sgrinio', { from: '2027-03-01' })],
      measurements: [weight(1530.5, '2027-03-09')],
    });
    const read = (path: string, language: string) => {
      const value = lookUp(from, path, TODAY, language)!.value;
      return valueInWords(value, language);
    };
    expect(read('due', 'cy')).toBe('Sgrinio: 1 Mawrth 2027');
    expect(read('measurements', 'cy')).toBe('Weight: 1,530.5 g (9 Mawrth 2027)');
    expect(read('measurements', 'de')).toBe('Weight: 1.530,5 g (9. März 2027)');
  });
});

describe('values in words', () => {
  const cases: [Value, string, string][] = [
    [{ kind: 'quantity', value: 1234.5, unit: 'g' }, 'en-GB', '1,234.5 g'],
    [{ kind: 'quantity', value: 1234.5, unit: 'g' }, 'de-DE', '1.234,5 g'],
    [{ kind: 'quantity', value: 3, unit: '' }, 'en-GB', '3'],
    [{ kind: 'list', items: ['salt', 'ice'] }, 'es-ES', 'salt e ice'],
    [{ kind: 'list', items: [] }, 'en-GB', ''],
    [{ kind: 'list', items: ['a', 'b', 'c'] }, 'en-GB', 'a, b and c'],
    [{ kind: 'list', items: ['a', 'b', 'c'] }, 'en-US', 'a, b, and c'],
  ];
  test.each(cases)('%j in %s', (value, language, words) => {
    expect(valueInWords(value, language)).toBe(words);
  });

  test('the quick way of joining and of figures says what the language’s own rules say', () => {
    for (const language of ['en-GB', 'en-US'])
      for (const type of ['and', 'or'] as const)
        for (const items of [
          ['a', 'b'],
          ['a', 'b', 'c'],
          ['$&', 'b', 'and', 'd'],
        ])
          expect(joinAsProse(items, type, language)).toBe(
            new Intl.ListFormat(language, { type: type === 'or' ? 'disjunction' : 'conjunction' }).format(
              items,
            ),
          );
    for (const value of [0, -7, 999, -999, 1000, 0.25, 1e-7])
      expect(figures(value, 'en-GB')).toBe(value.toLocaleString('en-GB', { maximumFractionDigits: 10 }));
    expect(figures(2, 'en-GB', 2)).toBe('2.00');
  });
});

test.each([
  ['weight', 'weight'],
  ['temperature', 'temperature'],
  ['last heart rate', 'heart rate'],
  ['heart rate', 'heart rate'],
  ['weight on admission', null],
  ['first weight', null],
  ['highest weight in 7 days', null],
  ['weight, temperature', null],
  ['days in care', null],
])('%s grows old as %s does', (path, code) => {
  expect(codeThatAges(path)).toBe(code);
});
