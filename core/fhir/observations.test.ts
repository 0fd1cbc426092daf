import { describe, expect, test } from '@jest/globals';
import { lookUp } from '#core/record';
import { coded, lines, readMade, seen, words } from '#core/testing';

describe('what an observation says', () => {
  test.each<[string, object, string[], string[]]>([
    ['an amount', { valueQuantity: { value: 512, unit: 'g' } }, ['Seen 512 g, 16 November 2026'], []],
    [
      'a unit of UCUM',
      { valueQuantity: { value: 36.5, code: 'Cel' } },
      ['Seen 36.5 °C, 16 November 2026'],
      [],
    ],
    [
      'a remark for a unit',
      { valueQuantity: { value: 3, code: '{score}' } },
      ['Seen 3 score, 16 November 2026'],
      [],
    ],
    ['a count', { valueInteger: 4 }, ['Seen 4, 16 November 2026'], []],
    [
      'less than can be measured: no number that could be reckoned with',
      { valueQuantity: { value: 5, comparator: '<', unit: 'mg/L' } },
      [],
      ['Seen: < 5 mg/L, 16 November 2026'],
    ],
    ['words', { valueString: 'bright' }, [], ['Seen: bright, 16 November 2026']],
    [
      'a code',
      { valueCodeableConcept: coded('x', 'Never smoked') },
      [],
      ['Seen: Never smoked, 16 November 2026'],
    ],
    ['yes or no', { valueBoolean: false }, [], ['Seen: no, 16 November 2026']],
    [
      'between two',
      { valueRange: { low: { value: 2, unit: 'mg' }, high: { value: 4, unit: 'mg' } } },
      [],
      ['Seen: 2 mg to 4 mg, 16 November 2026'],
    ],
    [
      'a ratio',
      { valueRatio: { numerator: { value: 1 }, denominator: { value: 64 } } },
      [],
      ['Seen: 1:64, 16 November 2026'],
    ],
    ['a day', { valueDateTime: '2026-11-01' }, [], ['Seen: 2026-11-01, 16 November 2026']],
    [
      'over a while',
      { effectiveDateTime: undefined, effectivePeriod: { start: '2026-11-02' }, valueInteger: 1 },
      ['Seen 1, 2 November 2026'],
      [],
    ],
  ])('%s', (_what, more, measurements, observations) => {
    const { record, remarks } = readMade(seen(more));
    expect([lines(record, 'measurements'), lines(record, 'observations')]).toEqual([
      measurements,
      observations,
    ]);
    expect(remarks).toEqual([]);
  });

  test('a blood pressure is one thing of two parts, each with what is usual and what is made of it', () => {
    const part = (code: string, display: string, value: number) => ({
      code: coded(code, display),
      valueQuantity: { value, unit: 'mm[Hg]' },
    });
    const upper = {
      ...part('8480-6', 'Systolic blood pressure', 158),
      referenceRange: [{ low: { value: 90, unit: 'mm[Hg]' }, high: { value: 140 } }],
      interpretation: [coded('H')],
    };
    const { record } = readMade(
      seen({
        id: 'bp',
        code: coded('85354-9', 'Blood pressure'),
        component: [upper, part('8462-4', 'Diastolic blood pressure', 91)],
      }),
    );
    expect(record.measurements).toMatchObject([
      {
        code: 'systolic',
        within: 'blood pressure',
        value: 158,
        unit: 'mmHg',
        minute: 490,
        usual: { low: 90, high: 140 },
        reads: 'high',
      },
      { code: 'diastolic', within: 'blood pressure', value: 91, key: 'Observation/bp#1' },
    ]);
  });

  test('a blood pressure is told upper first, whichever comes first', () => {
    const part = (code: string, value: number) => ({
      code: coded(code, code),
      valueQuantity: { value, unit: 'mm[Hg]' },
    });
    const { record } = readMade(
      seen({
        code: coded('85354-9', 'Blood pressure'),
        component: [part('8462-4', 78), part('8480-6', 117)],
      }),
    );
    expect(lookUp(record, 'blood pressure', '2026-11-16')?.value).toEqual({
      kind: 'text',
      text: '117/78 mmHg',
    });
  });

  test.each([
    [43.0968663797, 43.0969],
    [0.000123456789, 0.000123457],
    [1234567, 1234567],
    [123456.78, 123457],
    [-2.5, -2.5],
    [0, 0],
  ])('%d is measured as %d', (value, measured) => {
    const { record } = readMade(seen({ valueQuantity: { value, unit: 'kg' } }));
    expect(record.measurements[0]!.value).toBe(measured);
  });

  test('names go by what a code is displayed as, else by text, else by the code', () => {
    const { record } = readMade(
      ...[
        { ...words('as written'), coding: [{ code: 'c', display: 'As displayed' }] },
        words('As written'),
        coded('77-7'),
      ].map((code) => seen({ code, valueInteger: 1 })),
    );
    expect(record.measurements.map(({ label }) => label)).toEqual(['As displayed', 'As written', '77-7']);
  });
});
