import { describe, expect, test } from '@jest/globals';
import { about, coded, readMade, seen, words } from '#core/testing';

describe('what is left out is told by kind and number', () => {
  const vaccine = {
    resourceType: 'Immunization',
    patient: about,
    vaccineCode: words('V'),
    occurrenceDateTime: '2026-01-02',
  };
  test.each<[string, object[], string[]]>([
    [
      'entered in error',
      [seen({ status: 'entered-in-error', valueInteger: 1 })],
      ['Left out: 1 Observation, marked as entered in error.'],
    ],
    [
      'of no day',
      [seen({ effectiveDateTime: undefined, valueInteger: 1 })],
      ['Left out: 1 Observation, without a day.'],
    ],
    [
      'of a year and no day',
      [seen({ effectiveDateTime: '2026', valueInteger: 1 })],
      ['Left out: 1 Observation, without a day.'],
    ],
    [
      'without a value',
      [seen({}), seen({ dataAbsentReason: words('unknown') })],
      ['Left out: 2 Observation, without a value.'],
    ],
    [
      'about somebody who is not here',
      [seen({ subject: { reference: 'Patient/2' }, valueInteger: 1 })],
      ['Left out: 1 Observation, about a patient who is not in these files.'],
    ],
    [
      'of a kind that is not read',
      [{ resourceType: 'Claim' }, { resourceType: 'Claim' }],
      ['Left out: 2 Claim, Elderleaf does not read these.'],
    ],
    [
      'nameless',
      [{ ...vaccine, status: 'completed', vaccineCode: {} }],
      ['Left out: 1 Immunization, without a name.'],
    ],
    [
      'refuted',
      [
        {
          resourceType: 'Condition',
          subject: about,
          code: words('Flu'),
          verificationStatus: coded('refuted'),
        },
      ],
      ['Left out: 1 Condition, cancelled or refuted.'],
    ],
    [
      'an older version',
      [
        seen({ id: 'x', meta: { lastUpdated: '2026-01-02T00:00:00Z' }, valueInteger: 2 }),
        seen({ id: 'x', meta: { lastUpdated: '2026-01-01T00:00:00Z' }, valueInteger: 1 }),
      ],
      ['Left out: 1 Observation, older versions.'],
    ],
  ])('%s', (_what, resources, remarks) => {
    expect(readMade(...resources).remarks).toEqual(remarks);
  });
});

test('of more than a record holds the newest are taken, and the rest is told', () => {
  const many = Array.from({ length: 1002 }, (_, at) => ({
    ...{ resourceType: 'MedicationRequest', status: 'active', subject: about },
    ...{ medicationCodeableConcept: words(`m${at}`), authoredOn: at === 500 ? '2020-01-01' : '2026-01-01' },
  }));
  const { record, remarks } = readMade(...many);
  expect(record.medicines).toHaveLength(1000);
  expect(record.medicines.map(({ name }) => name)).not.toContain('m500');
  expect(remarks).toEqual([
    'Left out: 2 medicines, since a record holds no more of them; the newest were taken.',
  ]);
});
