import { expect, test } from '@jest/globals';
import { findSigns, SIGNS } from './index';

test.each([
  ['degree', '°'],
  ['arrow right', '→'],
  ['e acute', 'é'],
  ['w circ', 'ŵ'],
  ['capital e acute', 'É'],
  ['half', '½'],
  ['does not break', '\u00a0'],
  ['≥', '≥'],
  ['greek mu', undefined],
])('“%s” finds %s first', (asked, sign) => expect(findSigns(asked, 5)[0]?.sign).toBe(sign));

test('with nothing asked, what is wanted most; no more than asked for', () => {
  expect(findSigns('  ', 3).map(({ sign }) => sign)).toEqual(SIGNS.slice(0, 3).map(([, sign]) => sign));
});

test('no name and no sign is there twice', () => {
  expect(new Set(SIGNS.map(([name]) => name)).size).toBe(SIGNS.length);
  expect(new Set(SIGNS.map(([, sign]) => sign)).size).toBe(SIGNS.length);
});
