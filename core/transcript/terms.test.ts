import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { correctionOf, isOfAll } from './correction';
import { asTerm, termsOfLines, termsToOffer, withTerm } from './terms';

test.each([
  ['  Hollin  Wharf, ', 'Hollin Wharf'],
  ['“the gauge-house”', 'the gauge-house'],
  ['St. Orrin.', 'St. Orrin'],
  ['…', ''],
  ['a\nb', 'a b'],
  ['x'.repeat(300), 'x'.repeat(120)],
])('%j is the term %j', (words, term) => {
  expect(asTerm(words)).toBe(term);
});

test('a term is kept once, newest first', () => {
  expect(withTerm(['Orrin'], 'Tidewall ')).toEqual(['Tidewall', 'Orrin']);
  expect(withTerm(['Orrin'], 'Orrin.')).toBeNull();
  expect(withTerm(['Orrin'], '  ')).toBeNull();
  expect(termsOfLines('Orrin\n\n Orrin \nthe Sluice,\n')).toEqual(['Orrin', 'the Sluice']);
});

test('speakers are offered by their name and its parts, and what the case knows by name', () => {
  const cast = [{ id: 'a', name: 'Wilf of Ambry', initials: 'WA', key: 'w', role: '' }];
  const detail = (path: string, text: string) => ({
    ...{ path, source: 'x', asOf: null },
    value: { kind: 'text' as const, text },
  });
  const details = [detail('place', 'Hollin Wharf'), detail('about', 'x '.repeat(60))];
  expect(termsToOffer({ cast, terms: ['Orrin', 'Ambry'] }, details)).toEqual([
    ...['Orrin', 'Ambry', 'Wilf of Ambry', 'Wilf', 'Hollin Wharf'],
  ]);
});

describe('what was put right in a line', () => {
  test.each([
    ['We saw the Gage.', 'We saw the Gauge.', { from: 'Gage', to: 'Gauge', isFirst: false }],
    ['Hollin warf was shut', 'Hollin Wharf was shut', { from: 'warf', to: 'Wharf', isFirst: false }],
    ['Gage, he said', 'Gauge, he said', { from: 'Gage', to: 'Gauge', isFirst: true }],
    ['it rose. Gage it', 'it rose. Gauge it', { from: 'Gage', to: 'Gauge', isFirst: true }],
    ['near saint Orin now', 'near St. Orrin now', { from: 'saint Orin', to: 'St. Orrin', isFirst: false }],
    ['the end', 'the end of it', null],
    ['the very end', 'the end', null],
    ['the end', 'the end.', null],
    ['he is', 'he is', null],
    ['one two three four five', 'six seven eight nine ten', null],
    ['', 'Gauge', null],
    ['of it', 'at it', null],
  ])('%j, now %j', (before, after, expected) => {
    expect(correctionOf(before, after)).toEqual(expected);
  });

  test('is told of the words alone that changed, whatever stands around them', () => {
    const words = fc.array(fc.stringMatching(/^[a-m]{1,8}$/), { maxLength: 6 });
    fc.assert(
      fc.property(words, words, (before, after) => {
        const line = (word: string) => [...before, word, ...after].join(' ');
        expect(correctionOf(line('Worzle'), line('Wurzel'))).toMatchObject({ from: 'Worzle', to: 'Wurzel' });
      }),
    );
  });

  test.each([
    ['Gage', false, true],
    ['Gage', true, true],
    ['Gate', true, false],
    ['Gate', false, true],
    ['gate', false, false],
    ['warf', false, true],
    ['the gate', false, true],
  ])('%s, first in its sentence: %s, is of all: %s', (from, isFirst, expected) => {
    const isWord = (word: string) => ['gate', 'the'].includes(word);
    expect(isOfAll({ from, to: 'x', isFirst }, isWord)).toBe(expected);
  });
});
