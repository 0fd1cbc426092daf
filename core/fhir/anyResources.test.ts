import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CaseRecordSchema } from '#core/record';
import { readFhir, type FhirFile } from '.';

/** How a patient can be named by a reference. */
const STYLES = [
  (at: number) => `Patient/p${at}`,
  (at: number) => `urn:uuid:p${at}`,
  (at: number) => `https://records.example/fhir/Patient/p${at}`,
];

/** One made observation: whose it is, of which day, and how it names its patient. */
const anySeen = fc.record({
  whose: fc.integer({ min: 0, max: 4 }),
  day: fc.integer({ min: 10, max: 28 }),
  style: fc.constantFrom(...STYLES),
  time: fc.constantFrom('', 'T23:30:00-11:00', 'T00:30:00+14:00', 'T12:00:00.123Z'),
});

const DAY = (day: number) => `2026-11-${day}`;
/** Tells by itself whose it is and of which day. */
const valueOf = (whose: number, day: number) => whose * 100 + day;

test('no value comes to the wrong patient or day, however it is referred to and whatever zone it was written in', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 4 }),
      fc.array(anySeen, { maxLength: 30 }),
      fc.boolean(),
      (patients, seen, isSplit) => {
        const people = Array.from({ length: patients }, (_, at) => ({
          fullUrl: `urn:uuid:p${at}`,
          resource: { resourceType: 'Patient', id: `p${at}`, name: [{ text: String(at) }] },
        }));
        const observations = seen.map(({ whose, day, style, time }) => ({
          resource: {
            ...{ resourceType: 'Observation', status: 'final', code: { text: 'x' } },
            subject: { reference: style(whose) },
            effectiveDateTime: DAY(day) + time,
            valueInteger: valueOf(whose, day),
          },
        }));
        const bundle = (entry: object[]) => ({ resourceType: 'Bundle', type: 'batch', entry });
        const files = isSplit
          ? [bundle(observations), bundle(people)]
          : [bundle([...observations, ...people])];
        const reading = readFhir(files.map((value, at) => ({ name: String(at), values: [value] })));
        if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
        let told = 0;
        reading.read.forEach(({ record }, whose) => {
          for (const { value, measured } of record.measurements)
            expect(value).toBe(valueOf(whose, Number(measured.slice(8))));
          told += record.measurements.length;
          expect(CaseRecordSchema.safeParse(record).success).toBe(true);
        });
        // What is about somebody who is not here is the only thing left out.
        expect(told).toBe(seen.filter(({ whose }) => whose < patients).length);
      },
    ),
    { numRuns: 300 },
  );
});

const TYPES = [
  ...['Patient', 'Encounter', 'Observation', 'Condition', 'AllergyIntolerance', 'Immunization', 'Procedure'],
  ...['DiagnosticReport', 'CarePlan', 'Goal', 'ServiceRequest', 'FamilyMemberHistory', 'MedicationRequest'],
  ...['MedicationStatement', 'Medication', 'ImmunizationRecommendation', 'Bundle', 'Claim'],
];
const KEYS = [
  ...[
    'id',
    'status',
    'code',
    'subject',
    'patient',
    'entry',
    'type',
    'resource',
    'identifier',
    'contained',
    'name',
  ],
  ...[
    'effectiveDateTime',
    'valueQuantity',
    'component',
    'meta',
    'period',
    'reaction',
    'recommendation',
    'result',
  ],
];

/** Anything at all, under names that are read. */
const anyThing = fc.letrec<{ thing: unknown }>((tie) => ({
  thing: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    fc.constantFrom<unknown>(null, '', 'active', '2026-11-10', 7, true, [], {}),
    fc.string({ maxLength: 5 }),
    fc.array(tie('thing'), { maxLength: 3 }),
    fc
      .tuple(
        fc.constantFrom(...TYPES),
        fc.array(fc.tuple(fc.constantFrom(...KEYS), tie('thing')), { maxLength: 6 }),
      )
      .map(([resourceType, entries]) => ({ ...Object.fromEntries(entries), resourceType })),
  ),
})).thing;

test('whatever is in a file, it is read or refused with places; nothing is thrown', () => {
  fc.assert(
    fc.property(fc.array(anyThing, { maxLength: 6 }), (values) => {
      const file: FhirFile = { name: 'any', values };
      const reading = readFhir([file]);
      if (reading.ok)
        for (const { record } of reading.read) expect(CaseRecordSchema.safeParse(record).success).toBe(true);
      else for (const { place, message } of reading.faults) expect([place, message]).not.toContain('');
    }),
    { numRuns: 2000 },
  );
});
