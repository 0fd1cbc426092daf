import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { converted, isKnownUnit, isSameUnit } from './index';

describe('an amount in another unit', () => {
  test.each([
    [412, 'g', 'kg', 0.412],
    [0.412, 'kg', 'g', 412],
    [2, 'lb', 'g', 907.18474],
    [1, '[oz_av]', 'gram|grams', 28.349523125],
    [250, 'ug', 'mg', 0.25],
    [250, 'µg', 'mcg', 250],
    [37, 'Cel', '°C', 37],
    [37, '°C', '°F', 98.6],
    [98.6, '[degF]', 'Cel', 37],
    [0, '°C', 'K', 273.15],
    [1.5, 'L', 'ml', 1500],
    [2, 'weeks', 'days', 14],
    [120, '/min', 'a minute', 120],
    [5, 'mg/kg', 'ug/g', 5],
    [1, 'kPa', 'mmHg', 7.50061683],
  ])('%d %s is in %s %d', (value, from, to, wanted) => {
    expect(converted(value, from, to)).toBeCloseTo(wanted, 9);
  });

  test.each([
    ['g', 'ml'],
    ['g', 'points'],
    ['points', 'marks'],
    ['mg/kg', 'mg'],
    ['°C', 'g'],
    ['°C/h', 'K/h'],
    ['', 'g'],
  ])('%j is never taken for %j', (from, to) => {
    expect(converted(1, from, to)).toBeNull();
  });

  test('a difference has no point where it begins to count', () => {
    expect(converted(1, '°C', '°F', true)).toBeCloseTo(1.8, 9);
    expect(converted(1.8, '°F', '°C', true)).toBeCloseTo(1, 9);
    expect(converted(300, 'g', 'kg', true)).toBeCloseTo(0.3, 9);
  });

  test('there and back again is the same, whatever the units', () => {
    const units = [
      'g',
      'kg',
      'mg',
      'lb',
      'oz',
      'm',
      'cm',
      'ft',
      'l',
      'ml',
      '°C',
      '°F',
      'K',
      'h',
      'days',
      'mg/kg',
      'g/l',
    ];
    fc.assert(
      fc.property(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }),
        fc.constantFrom(...units),
        fc.constantFrom(...units),
        fc.boolean(),
        (value, from, to, difference) => {
          const there = converted(value, from, to, difference);
          if (there === null) return;
          expect(converted(there, to, from, difference)!).toBeCloseTo(value, 5);
        },
      ),
    );
  });
});

test('units are told apart whatever they are written like', () => {
  expect(isSameUnit('g', 'grams')).toBe(true);
  expect(isSameUnit('g', 'kg')).toBe(false);
  expect(isSameUnit('points', 'points')).toBe(true);
  expect(isSameUnit('points', 'marks')).toBe(false);
  expect(['g', 'day|days', 'mg/kg', 'mm[Hg]'].every(isKnownUnit)).toBe(true);
  expect(['', 'points', 'g/m/s'].some(isKnownUnit)).toBe(false);
});
