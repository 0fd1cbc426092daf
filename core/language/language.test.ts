import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { numberWords, PERSON_FORMS, personWords, readNumber, withArticle, withCapital } from './index';

test.each([
  'a hedgehog',
  'an owl',
  'an hour',
  'a house',
  'an honest try',
  'a horse',
  'an heirloom',
  'a unit',
  'a uniform',
  'an uninjured wing',
  'an unusual gait',
  'a use',
  'a useful hint',
  'a European hare',
  'a ewe',
  'a one-eyed owl',
  'a once-off',
  'an onion',
  'an old wound',
  'an ulcer',
  'a urine sample',
  'an umbrella',
  'a utensil',
  'an 8',
  'an 11',
  'an 18',
  'a 12',
  'a 1',
  'a 100',
  'an 80 g pup',
  'a 118',
  'an MRI',
  'an X-ray',
  'a UV lamp',
  'a TB test',
  'an FIV test',
  'an “open” wound',
  'an egg',
  'an island',
  'a year',
  'a yellow bill',
  'an herb',
  'a herbivore',
])('%s', (expected) => {
  expect(withArticle(expected.replace(/^an? /, ''), 'en-GB')).toBe(expected);
});

test('other languages, and nothing, are left alone', () => {
  expect([withArticle('draenog', 'cy'), withArticle('', 'en-GB')]).toEqual(['draenog', '']);
});

test.each([
  [0, 'zero'],
  [7, 'seven'],
  [19, 'nineteen'],
  [40, 'forty'],
  [42, 'forty-two'],
  [100, 'one hundred'],
  [105, 'one hundred and five'],
  [999, 'nine hundred and ninety-nine'],
  [1000, 'one thousand'],
  [1001, 'one thousand and one'],
  [1100, 'one thousand one hundred'],
  [15_020, 'fifteen thousand and twenty'],
  [-3, 'minus three'],
  [1.5, null],
  [1_000_000, null],
])('%s in words is %s', (value, words) => {
  expect(numberWords(value, 'en-GB')).toBe(words);
});

describe('a number as it is typed', () => {
  test.each([
    ['12', 'en-GB', '', 12],
    ['12.5', 'en-GB', '', 12.5],
    ['.5', 'en-GB', '', 0.5],
    ['1,234.5', 'en-GB', '', 1234.5],
    ['1,23', 'en-GB', '', null],
    ['−3', 'en-GB', '', -3],
    ['12 ml', 'en-GB', 'ml', 12],
    ['12ML', 'en-GB', 'ml', 12],
    ['12 mg', 'en-GB', 'ml', null],
    ['1.234,5', 'de', '', 1234.5],
    ['12,5', 'de', '', 12.5],
    ['1 234,5', 'fr', '', 1234.5],
    ['twelve', 'en-GB', '', null],
    ['1e9', 'en-GB', '', null],
    ['1.2.3', 'en-GB', '', null],
    ['', 'en-GB', '', null],
  ])('%j in %s (%s) is %s', (typed, language, unit, expected) => {
    expect(readNumber(typed, language, unit)).toBe(expected);
  });

  test('what a language writes is read back, in five languages', () => {
    const value = fc.integer({ min: -99_999_999, max: 99_999_999 }).map((cents) => cents / 100);
    fc.assert(
      fc.property(value, fc.constantFrom('en-GB', 'cy', 'de', 'fr', 'es'), (number, language) => {
        expect(readNumber(number.toLocaleString(language), language)).toBeCloseTo(number, 6);
      }),
    );
  });
});

test.each([
  ['they', 'he', 'she', 'they', 'it'],
  ['them', 'him', 'her', 'them', 'it'],
  ['their', 'his', 'her', 'their', 'its'],
  ['theirs', 'his', 'hers', 'theirs', 'its'],
  ['themselves', 'himself', 'herself', 'themselves', 'itself'],
  ['they are', 'he is', 'she is', 'they are', 'it is'],
  ['they were', 'he was', 'she was', 'they were', 'it was'],
  ['they have', 'he has', 'she has', 'they have', 'it has'],
  ['are', 'is', 'is', 'are', 'is'],
  ['were', 'was', 'was', 'were', 'was'],
  ['have', 'has', 'has', 'have', 'has'],
  ['do', 'does', 'does', 'do', 'does'],
  ['verb-s', 's', 's', '', 's'],
] as const)('%s: %s, %s, %s, %s', (form, ...expected) => {
  expect((['he', 'she', 'they', 'it'] as const).map((person) => personWords(person, form))).toEqual(expected);
});

test('every form is in the table above', () => {
  expect(PERSON_FORMS).toHaveLength(13);
});

test.each([
  ['it ate', 'It ate'],
  ['“it” ate', '“It” ate'],
  ['2 mg daily', '2 mg daily'],
  ['(2 mg)', '(2 mg)'],
  ['…', '…'],
])('%j with a capital', (words, expected) => {
  expect(withCapital(words)).toBe(expected);
});
