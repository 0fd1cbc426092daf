import { expect, test } from '@jest/globals';
import { findSymbols, KNOWN_SYMBOLS } from './index';

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
])('“%s” finds %s first', (asked, sign) => expect(findSymbols(asked, 5)[0]?.sign).toBe(sign));

test('with nothing asked, what is wanted most; no more than asked for', () => {
  expect(findSymbols('  ', 3).map(({ sign }) => sign)).toEqual(
    KNOWN_SYMBOLS.slice(0, 3).map(([, sign]) => sign),
  );
});

test('no name and no sign is there twice', () => {
  expect(new Set(KNOWN_SYMBOLS.map(([name]) => name)).size).toBe(KNOWN_SYMBOLS.length);
  expect(new Set(KNOWN_SYMBOLS.map(([, sign]) => sign)).size).toBe(KNOWN_SYMBOLS.length);
});
