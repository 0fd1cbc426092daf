import { describe, expect, test } from '@jest/globals';
import { formOfRules, NEW_ROWS, readRules, readSpan, spanInWords, USUAL_RULES, type RecordRules } from '.';

describe('a span of time', () => {
  test.each([
    ['2 years', '2 years'],
    ['50', '50 years'],
    ['1 y', '1 year'],
    ['6 months', '6 months'],
    ['6m', '6 months'],
    ['8 wks', '8 weeks'],
    ['3 DAYS', '3 days'],
    ['0 days', ''],
    ['1001 days', ''],
    ['soon', ''],
    ['2 moons', ''],
    ['', ''],
  ])('%j is read as %j', (typed, words) => {
    expect(spanInWords(readSpan(typed))).toBe(words);
  });
});

describe('a team’s rules as they are typed', () => {
  const rules: RecordRules = {
    care: [
      {
        ...{
          label: 'Worming',
          every: { count: 3, step: 'months' },
          from: { count: 8, step: 'weeks' },
          to: null,
        },
        ...{
          sex: '',
          species: 'hedgehog',
          problem: '',
          doneBy: ['Wormed', 'Levamisole'],
          isImmunisation: false,
        },
      },
    ],
    oldAfterDays: 5,
    old: [{ code: 'height', days: 180 }],
    usual: [{ code: 'temperature', species: '', low: 34.5, high: null, unit: '°C' }],
  };

  test('come back as they were', () => {
    expect(readRules(formOfRules(rules), 'en-GB')).toEqual({ rules });
  });

  test('rows in which nothing was typed are left out', () => {
    const form = formOfRules(USUAL_RULES);
    const begun = { ...form, care: [NEW_ROWS.care()], usual: [NEW_ROWS.usual()], old: [NEW_ROWS.old()] };
    expect(readRules(begun, 'en-GB')).toEqual({ rules: USUAL_RULES });
  });

  test('a number is read as it is written where one is', () => {
    const form = {
      ...formOfRules(USUAL_RULES),
      usual: [{ ...NEW_ROWS.usual(), code: 'temperature', high: '38,5' }],
    };
    expect(readRules(form, 'de')).toMatchObject({ rules: { usual: [{ high: 38.5 }] } });
  });

  test('all that is wrong is told, each at its place', () => {
    const read = readRules(
      {
        care: [{ ...NEW_ROWS.care(), every: 'often', from: 'young', to: 'old' }],
        usual: [
          { ...NEW_ROWS.usual(), low: '2', high: '1' },
          { ...NEW_ROWS.usual(), code: 'weight', low: 'x' },
          { ...NEW_ROWS.usual(), code: 'weight' },
        ],
        old: [{ code: '', days: '0' }],
        oldAfterDays: 'a week',
      },
      'en-GB',
    );
    expect('faults' in read && read.faults.map(({ list, row, field }) => `${list} ${row} ${field}`)).toEqual([
      ...['care 0 label', 'care 0 every', 'care 0 from', 'care 0 to'],
      ...['usual 0 code', 'usual 0 high', 'usual 1 low', 'usual 2 low'],
      ...['old 0 code', 'old 0 days', 'oldAfterDays 0 '],
    ]);
  });
});
