import { describe, expect, test } from '@jest/globals';
import {
  careDue,
  emptyRecord,
  isOld,
  readsAs,
  recordByRules,
  recordLine,
  USUAL_RULES,
  type CareRule,
  type CaseRecord,
  type HistoryItem,
  type Measurement,
  type RecordRules,
} from '.';

const TODAY = '2026-11-24';
const rule = (label: string, more: Partial<CareRule> = {}): CareRule => ({
  ...{ label, every: { count: 2, step: 'years' }, from: null, to: null },
  ...{ sex: '', species: '', problem: '', doneBy: [], isImmunisation: false },
  ...more,
});
const rules = (more: Partial<RecordRules>): RecordRules => ({ ...USUAL_RULES, ...more });
const text = (path: string, words: string) => ({
  ...{ path, value: { kind: 'text' as const, text: words }, source: 'Form', asOf: null },
});
const date = (path: string, day: string) => ({
  ...{ path, value: { kind: 'date' as const, date: day }, source: 'Form', asOf: null },
});
const of = (more: Partial<CaseRecord>): CaseRecord => ({ ...emptyRecord(), ...more });
const item = (label: string, since: string | null, status: HistoryItem['status'] = 'over'): HistoryItem => ({
  ...{ label, note: null, status, since, until: null, source: 'Form' },
});
const weight = (value: number, measured: string, more: Partial<Measurement> = {}): Measurement => ({
  ...{
    code: 'weight',
    label: 'Weight',
    value,
    unit: 'g',
    measured,
    minute: null,
    by: null,
    source: 'Scales',
  },
  ...more,
});

describe('care that a team’s rules make due', () => {
  const sixty = of({ details: [date('born', '1966-01-10'), text('sex', 'female')] });
  const fifty = { count: 50, step: 'years' as const };
  test.each<[string, CareRule, CaseRecord, [string, string | null][]]>([
    [
      'of an age, never done: since they came to it',
      rule('Screening', { from: fifty }),
      sixty,
      [['2016-01-10', null]],
    ],
    [
      'done, it comes round from then',
      rule('Screening', { from: fifty }),
      of({ ...sixty, procedures: [item('screening', '2025-12-01')] }),
      [['2027-12-01', '2025-12-01']],
    ],
    [
      'done by another name; the last counts',
      rule('Screening', { doneBy: ['Stool test'] }),
      of({ ...sixty, reports: [item('Stool test', '2024-01-05'), item('Stool test', '2025-01-05')] }),
      [['2027-01-05', '2025-01-05']],
    ],
    [
      'by a measurement, as wordings ask for it',
      rule('Weighing', { every: { count: 2, step: 'days' }, doneBy: ['weight'] }),
      of({ measurements: [weight(1, '2026-11-22', { label: 'Body weight' })] }),
      [['2026-11-24', '2026-11-22']],
    ],
    [
      'what was not done does not count',
      rule('Screening', { from: fifty }),
      of({ ...sixty, procedures: [item('Screening', '2025-12-01', 'left')] }),
      [['2016-01-10', null]],
    ],
    ['too young', rule('Screening', { from: { count: 70, step: 'years' } }), sixty, []],
    ['too old', rule('Screening', { to: fifty }), sixty, []],
    ['of an age that nobody knows', rule('Screening', { from: fifty }), emptyRecord(), []],
    ['of the other sex', rule('Screening', { sex: 'male' }), sixty, []],
    ['of this sex', rule('Screening', { sex: 'Female', from: fifty }), sixty, [['2016-01-10', null]]],
    ['of another species', rule('Worming', { species: 'hedgehog' }), sixty, []],
    [
      'for who has a problem, from the day they came',
      rule('Chest film', { problem: 'lungworm' }),
      of({
        details: [date('admitted', '2026-11-20')],
        problems: [{ label: 'Lungworm, severe', status: 'active', since: null, source: 'Form' }],
      }),
      [['2026-11-20', null]],
    ],
    [
      'for who had it',
      rule('Chest film', { problem: 'lungworm' }),
      of({ problems: [{ label: 'Lungworm', status: 'resolved', since: null, source: 'Form' }] }),
      [],
    ],
    [
      'that the record tells of itself: as the record has it',
      rule('Weighing', { every: { count: 1, step: 'days' } }),
      of({
        care: [
          {
            label: 'weighing',
            every: { count: 9, step: 'days' },
            done: '2026-11-20',
            from: null,
            source: 'Plan',
          },
        ],
      }),
      [['2026-11-29', '2026-11-20']],
    ],
  ])('%s', (_what, care, record, due) => {
    const made = recordByRules(record, rules({ care: [care] }), TODAY);
    expect(careDue(made, TODAY).map((one) => [one.due, one.done])).toEqual(due);
  });

  test('a record that no rule is for stays the very same', () => {
    expect(recordByRules(sixty, USUAL_RULES, TODAY)).toBe(sixty);
  });
});

test.each<[string, string, string, boolean]>([
  ['within a week', 'weight', '2026-11-17', false],
  ['after it', 'weight', '2026-11-16', true],
  ['what keeps longer, before it', 'Height', '2026-05-29', false],
  ['what keeps longer, after it', 'height', '2026-05-20', true],
])('a value is old: %s', (_what, code, day, old) => {
  expect(isOld(code, day, rules({ old: [{ code: 'height', days: 180 }] }), TODAY)).toBe(old);
});

describe('a value is held against what is usual', () => {
  const usual = [
    { code: 'weight', species: '', low: 100, high: 900, unit: 'g' },
    { code: 'weight', species: 'Hedgehog', low: 450, high: null, unit: 'g' },
  ];
  test.each<[string, Measurement, string, ReturnType<typeof readsAs>]>([
    ['as usual for all', weight(400, TODAY), 'owl', null],
    ['above', weight(901, TODAY), 'owl', 'high'],
    ['below for its species', weight(400, TODAY), 'hedgehog', 'low'],
    ['its species has no upper end', weight(2000, TODAY), 'hedgehog', null],
    ['in another unit nothing is said', weight(0.4, TODAY, { unit: 'kg' }), 'hedgehog', null],
    [
      'its source’s own range goes first',
      weight(400, TODAY, { usual: { low: null, high: 300 } }),
      'hedgehog',
      'high',
    ],
    [
      'and what its source makes of it before that',
      weight(400, TODAY, { reads: 'normal' }),
      'hedgehog',
      null,
    ],
    ['whatever it is', weight(400, TODAY, { reads: 'abnormal' }), '', 'abnormal'],
  ])('%s', (_what, one, species, reads) => {
    expect(readsAs(one, species, rules({ usual }))).toBe(reads);
  });
});

test('the line of a record says who, what is measured, what is unusual, what must not be given, what is overdue and what is new', () => {
  const record = of({
    details: [text('species', 'seal'), text('sex', 'female'), date('born', '2026-06-20')],
    measurements: [
      weight(9400, '2026-11-10'),
      weight(36.8, TODAY, {
        code: 'temperature',
        label: 'Temperature',
        unit: '°C',
        usual: { low: 37, high: 38 },
      }),
      weight(80, TODAY, { code: 'heart rate', label: 'Heart rate', unit: 'a minute' }),
    ],
    allergies: ['a', 'b', 'c', 'd'].map((label) => item(label, null, 'active')),
    care: [
      { label: 'Worming', every: { count: 1, step: 'days' }, done: '2026-11-20', from: null, source: 'Plan' },
    ],
    lastNote: { at: '2026-11-23T10:00:00.000Z', day: '2026-11-23', minute: 600 },
  });
  expect(recordLine(record, { today: TODAY, rules: USUAL_RULES, locale: 'en-GB' })).toEqual([
    { words: 'seal, female, 5 months', tone: 'plain' },
    { words: 'Weight 9,400 g, 14 days ago, old', tone: 'warning' },
    { words: 'Temperature 36.8 °C ▼ low', tone: 'warning' },
    { words: 'Allergic to a, b, c and 1 more', tone: 'warning' },
    { words: 'Overdue: Worming', tone: 'warning' },
    { words: '2 new since your last leaf', tone: 'news' },
  ]);
  expect(recordLine(emptyRecord(), { today: TODAY, rules: USUAL_RULES, locale: 'en-GB' })).toEqual([]);
});
