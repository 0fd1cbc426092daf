import { expect, test } from '@jest/globals';
import { emptyRecord, newSince, type CaseRecord, type Measurement } from '.';

const weighed = (value: number, measured: string, more: Partial<Measurement> = {}): Measurement => ({
  ...{ code: 'weight', label: 'Weight', value, unit: 'g', measured, minute: null, by: null },
  ...{ source: 'Observation', ...more },
});
const medicine = (name: string, since: string | null, until: string | null = null) => ({
  ...{ name, dose: null, status: until ? ('ended' as const) : ('active' as const), since, until },
  source: 'List',
});
const NOON = { at: '2026-11-25T12:00:00.000Z', day: '2026-11-25', minute: 720 };
const said = (record: Partial<CaseRecord>) =>
  newSince({ ...emptyRecord(), ...record }, NOON).map(({ item }) =>
    'value' in item ? item.value : 'name' in item ? item.name : item.label,
  );

test.each([
  ['the day before', weighed(1, '2026-11-24'), false],
  ['that day, at no known time', weighed(1, '2026-11-25'), false],
  ['that day, before', weighed(1, '2026-11-25', { minute: 719 }), false],
  ['that day, after', weighed(1, '2026-11-25', { minute: 721 }), true],
  ['the day after', weighed(1, '2026-11-26'), true],
  [
    'before, and written down by hand before',
    weighed(1, '2026-11-24', { writtenAt: '2026-11-25T11:00:00.000Z' }),
    false,
  ],
  [
    'before, but written down by hand since',
    weighed(1, '2026-11-24', { writtenAt: '2026-11-25T12:00:01.000Z' }),
    true,
  ],
])('measured %s', (_, one, isNew) => {
  expect(said({ measurements: [one] })).toEqual(isNew ? [1] : []);
});

test('of each thing measured the newest alone, whatever order they stand in', () => {
  const measurements = [
    weighed(3, '2026-11-27'),
    weighed(2, '2026-11-26'),
    { ...weighed(36, '2026-11-26', { minute: 60 }), code: 'temperature' },
    { ...weighed(37, '2026-11-26', { minute: 600 }), code: 'temperature' },
    weighed(1, '2026-11-24'),
  ];
  expect(said({ measurements })).toEqual([3, 37]);
});

test('medicines begun or ended since, and problems found; what has no day is not known to be new', () => {
  const medicines = [
    medicine('old', '2026-11-20'),
    medicine('begun', '2026-11-26'),
    medicine('ended', '2026-11-20', '2026-11-26'),
    medicine('undated', null),
  ];
  const problem = (label: string, since: string | null) => ({
    ...{ label, status: 'active' as const, since, source: 'List' },
  });
  const problems = [problem('found', '2026-11-26'), problem('known', '2026-11-25'), problem('undated', null)];
  expect(said({ medicines, problems })).toEqual(['begun', 'ended', 'found']);
});
