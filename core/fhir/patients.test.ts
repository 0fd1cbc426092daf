import { describe, expect, test } from '@jest/globals';
import { about, patient, seen } from '#core/testing';
import { readFhir, type ReadCase } from '.';

describe('a patient who is named by an identifier alone', () => {
  const known = patient('7', { identifier: [{ system: 'urn:ring', value: 'A-1' }] });
  const told = (subject: object) => {
    const reading = readFhir([{ name: 'a', values: [known, seen({ subject, valueInteger: 1 })] }]);
    return reading.ok && [reading.read[0]!.record.measurements.length, reading.remarks];
  };
  test.each([
    ['is found by it', { identifier: { system: 'urn:ring', value: 'A-1' } }, [1, []]],
    [
      'is not taken for another, though there is but one',
      { identifier: { system: 'urn:ring', value: 'B-2' }, display: 'Somebody' },
      [0, ['Left out: 1 Observation, about a patient who is not in these files.']],
    ],
  ])('%s', (_what, subject, expected) => {
    expect(told(subject)).toEqual(expected);
  });
});

test('what comes in two files is there once; of two systems that name theirs alike both stay', () => {
  const entry = (base: string, value: number) => [
    { resource: patient('1', { identifier: [{ system: 'urn:ring', value: 'A-1' }] }) },
    { fullUrl: `${base}/Observation/9`, resource: seen({ id: '9', valueInteger: value }) },
  ];
  const bundle = (base: string, value: number) => ({
    ...{ resourceType: 'Bundle', type: 'collection', entry: entry(base, value) },
  });
  const files = [
    bundle('https://a.example', 1),
    bundle('https://a.example', 1),
    bundle('https://b.example', 2),
  ];
  const reading = readFhir(files.map((value, at) => ({ name: String(at), values: [value] })));
  if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
  expect(reading.read.map(({ record }) => record.measurements.map(({ value }) => value))).toEqual([[1, 2]]);
});

describe('several patients', () => {
  const bundle = (...resources: object[]) => ({
    resourceType: 'Bundle',
    type: 'searchset',
    entry: resources.map((resource) => ({ resource })),
  });
  const weights = (all: ReadCase[]) =>
    all.map(({ title, record }) => [title, record.measurements.map(({ value }) => value)]);
  const ofFiles = (...values: object[]) => {
    const reading = readFhir(values.map((value, at) => ({ name: `${at}.json`, values: [value] })));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    return weights(reading.read);
  };
  const weight = (value: number, subject?: object) => seen({ valueInteger: value, subject });

  test('are several cases, each with what is its own; what is nobody’s is no one’s', () => {
    expect(
      ofFiles(
        bundle(
          patient('1'),
          patient('2'),
          weight(2, { reference: 'Patient/2' }),
          weight(9),
          weight(1, about),
        ),
      ),
    ).toEqual([
      ['P1', [1]],
      ['P2', [2]],
    ]);
  });

  test('of two systems that both call theirs Patient/1, each keeps its own values', () => {
    const of = (system: string, value: number) =>
      bundle(
        patient('1', { identifier: [{ system, value: '7' }], name: [{ text: system }] }),
        weight(value, about),
      );
    expect(ofFiles(of('urn:a', 1), of('urn:b', 2))).toEqual([
      ['urn:a', [1]],
      ['urn:b', [2]],
    ]);
  });

  test('who comes in two files by the same identifier is one', () => {
    const of = (id: string, value: number) =>
      bundle(
        patient(id, { identifier: [{ system: 'urn:a', value: '7' }], name: [{ text: 'Ash' }] }),
        weight(value, { reference: `Patient/${id}` }),
      );
    expect(ofFiles(of('1', 1), of('22', 2))).toEqual([['Ash', [1, 2]]]);
  });

  test('what belongs together may be in several files, as an export of all has it', () => {
    expect(ofFiles(weight(3, { reference: 'https://records.example/fhir/Patient/1' }), patient('1'))).toEqual(
      [['P1', [3]]],
    );
  });
});
