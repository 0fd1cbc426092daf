import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { careDue, detailsOf, valueInWords } from '#core/record';
import { readFhir } from '.';

const demo = (file: string) =>
  JSON.parse(fs.readFileSync(path.join(import.meta.dirname, '../../demo', file), 'utf8')) as {
    entry: { resource: Record<string, unknown> }[];
  };

/** The Bundle with a change made to its first resource of a type. */
function changed(type: string, change: (resource: Record<string, unknown>) => void) {
  const bundle = demo('work/admission/fhir/hedgehog-bramble.json');
  change(bundle.entry.find(({ resource }) => resource.resourceType === type)!.resource);
  return bundle;
}

describe('an HL7 FHIR R4 Bundle', () => {
  test('becomes a record: details, measurements in their order, medicines, problems', () => {
    const reading = readFhir([
      { name: 'bramble.json', values: [demo('work/admission/fhir/hedgehog-bramble.json')] },
    ]);
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { title, number, record } = reading.read[0]!;
    expect([title, number]).toEqual(['Bramble, hedgehog', 'HH-1186']);
    const { measured } = record.measurements.at(-1)!;
    const words = Object.fromEntries(
      detailsOf(record, measured).map(({ path: at, value }) => [at, valueInWords(value, 'en-GB')]),
    );
    expect(words).toMatchObject({
      name: 'Bramble',
      species: 'hedgehog',
      sex: 'female',
      weight: '512 g',
      'weight on admission': '412 g',
      problems: 'lungworm and wound to the left flank',
    });
    expect(record.medicines.map(({ status }) => status)).toContain('ended');
    const due = careDue(record, measured).map(({ label, done, due: on, state }) => [label, done, on, state]);
    expect(due).toEqual([
      ['Lungworm screening', '2026-11-10', '2026-11-17', 'overdue'],
      ['Wound check', '2026-11-23', '2026-11-25', 'due'],
    ]);
  });

  test.each([
    ['no resource at all', { type: 'Bundle' }, 'a.json'],
    ['nothing', null, 'a.json'],
    ['no Patient', changed('Patient', (patient) => (patient.resourceType = 'Practitioner')), 'a.json'],
    ['a Bundle without a type', { resourceType: 'Bundle', entry: [] }, 'a.json, Bundle.type'],
    [
      'a weight in words',
      changed('Observation', (seen) => (seen.valueQuantity = { value: 'much' })),
      'a.json, Bundle.entry[4].resource (Observation).valueQuantity.value',
    ],
    [
      'care that comes round every half a week',
      changed('ServiceRequest', (care) => {
        care.occurrenceTiming = { repeat: { period: 0.5, periodUnit: 'wk' } };
      }),
      'occurrenceTiming',
    ],
  ])('is refused with the place named: %s', (_what, bundle, place) => {
    const reading = readFhir([{ name: 'a.json', values: [bundle] }]);
    expect(reading.ok).toBe(false);
    if (!reading.ok) expect(reading.faults.map((fault) => fault.place).join()).toContain(place);
  });

  test('all that is wrong is told, not only the first', () => {
    const entry = Array.from({ length: 500 }, () => ({
      resource: { resourceType: 'Observation', status: 'final', code: 7 },
    }));
    const reading = readFhir([
      { name: 'a.json', values: [{ resourceType: 'Bundle', type: 'collection', entry }] },
    ]);
    expect(!reading.ok && reading.faults).toHaveLength(500);
  });

  test('a fault is told in words; those of an older FHIR say which', () => {
    const reading = readFhir([
      {
        name: 'a.json',
        values: [
          { resourceType: 'Condition', clinicalStatus: 'active', code: [] },
          { resourceType: 'Observation', status: 'final' },
        ],
      },
    ]);
    expect(!reading.ok && reading.faults).toEqual([
      {
        place: 'a.json',
        message: 'this looks like an older FHIR (DSTU2 or STU3): Elderleaf reads R4. Export it as R4',
      },
      { place: 'a.json, line 1 (Condition).clinicalStatus', message: 'must be an object, and is a text' },
      { place: 'a.json, line 1 (Condition).code', message: 'must be an object, and is a list' },
      { place: 'a.json, line 2 (Observation).code', message: 'must be an object, and is missing' },
    ]);
  });
});
