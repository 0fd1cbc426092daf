import { expect, test } from '@jest/globals';
import { ageInWords, agoInWords, dateInWords, daysBetween, findDates, isCalendarDate } from './index';

test.each([
  ['2028-02-29', true],
  ['2026-02-29', false],
  ['2026-13-01', false],
  ['2026-1-01', false],
  ['2026-11-25T10:00', false],
])('%s is a date: %s', (text, expected) => {
  expect(isCalendarDate(text)).toBe(expected);
});

test.each([
  ['2026-11-20', '5 days'],
  ['2026-09-03', '11 weeks'],
  ['2026-01-31', '9 months'],
  ['2024-11-26', '23 months'],
  ['2024-11-25', '2 years'],
  ['2026-11-26', null],
])('the age on 25 November 2026 of one born on %s', (born, expected) => {
  expect(ageInWords(born, '2026-11-25')).toBe(expected);
});

test('days are counted over the change of the clocks', () => {
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
  expect(agoInWords('2026-03-28', '2026-03-30')).toBe('2 days ago');
});

test('a date in each form and in another language', () => {
  const written = (['long', 'short', 'iso', 'year'] as const).map((form) =>
    dateInWords('2026-03-04', form, 'en-GB'),
  );
  expect(written).toEqual(['4 March 2026', '04/03/2026', '2026-03-04', '2026']);
  expect(dateInWords('2026-03-04', 'long', 'cy')).toBe('4 Mawrth 2026');
});

test('dates are found as they are written, and those that do not exist are passed over', () => {
  const found = findDates('On 4 March 2026, 04/03/2026, 2026-03-05, 31st Sept 2026 and 3 Sep 2026.');
  expect(found.map(({ date, form }) => `${date} ${form}`)).toEqual([
    '2026-03-04 long',
    '2026-03-04 short',
    '2026-03-05 iso',
    '2026-09-03 long',
  ]);
});
