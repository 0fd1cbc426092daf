import { describe, expect, test } from '@jest/globals';
import { itemInWords, type RecordList } from '#core/record';
import { about, coded, lines, readMade, seen, words } from '#core/testing';

describe('lists of a record', () => {
  test.each<[RecordList, object, string]>([
    [
      'allergies',
      {
        resourceType: 'AllergyIntolerance',
        patient: about,
        code: words('Penicillin'),
        criticality: 'high',
        clinicalStatus: coded('active'),
        recordedDate: '2024-02-03',
        reaction: [{ manifestation: [words('hives')], severity: 'moderate' }],
      },
      'Penicillin: hives, moderate; high risk, since 3 February 2024',
    ],
    [
      'allergies',
      { resourceType: 'AllergyIntolerance', patient: about, code: coded('716186003', 'No known allergy') },
      'No known allergy',
    ],
    [
      'immunisations',
      {
        resourceType: 'Immunization',
        status: 'completed',
        patient: about,
        vaccineCode: words('Distemper'),
        occurrenceDateTime: '2026-05-02',
        lotNumber: 'L7',
      },
      'Distemper: lot L7, 2 May 2026',
    ],
    [
      'immunisations',
      {
        resourceType: 'Immunization',
        status: 'not-done',
        patient: about,
        vaccineCode: words('Distemper'),
        statusReason: words('too weak'),
        occurrenceDateTime: '2026-05-02',
      },
      'Distemper: too weak, not given, 2 May 2026',
    ],
    [
      'procedures',
      {
        resourceType: 'Procedure',
        status: 'completed',
        subject: about,
        code: words('Wound flushed'),
        performedPeriod: { start: '2026-11-16', end: '2026-11-17' },
        outcome: words('clean'),
      },
      'Wound flushed: clean, 16 November 2026 to 17 November 2026',
    ],
    [
      'plans',
      {
        resourceType: 'CarePlan',
        status: 'active',
        subject: about,
        title: 'Feeding up',
        period: { start: '2026-11-16' },
        activity: [{ detail: { description: 'weigh daily' } }],
      },
      'Feeding up: weigh daily, since 16 November 2026',
    ],
    [
      'goals',
      {
        resourceType: 'Goal',
        lifecycleStatus: 'active',
        subject: about,
        description: words('Weighs 600 g'),
        startDate: '2026-11-16',
        target: [{ dueDate: '2026-12-01' }],
      },
      'Weighs 600 g, since 16 November 2026, until 1 December 2026',
    ],
    [
      'requests',
      {
        resourceType: 'ServiceRequest',
        status: 'active',
        subject: about,
        code: words('X-ray'),
        authoredOn: '2026-11-17',
        reasonCode: [words('limps')],
      },
      'X-ray: limps, 17 November 2026',
    ],
    [
      'family',
      {
        resourceType: 'FamilyMemberHistory',
        status: 'completed',
        patient: about,
        relationship: words('mother'),
        condition: [{ code: words('asthma') }],
        deceasedBoolean: true,
      },
      'mother: asthma; has died',
    ],
    [
      'medicines',
      {
        resourceType: 'MedicationRequest',
        status: 'active',
        subject: about,
        medicationReference: { reference: '#m' },
        contained: [{ resourceType: 'Medication', id: 'm', code: words('Meloxicam') }],
        authoredOn: '2026-11-16',
        dosageInstruction: [
          {
            doseAndRate: [{ doseQuantity: { value: 0.2, unit: 'mg' } }],
            timing: { repeat: { frequency: 2, period: 1, periodUnit: 'd' } },
            asNeededBoolean: true,
          },
        ],
      },
      'Meloxicam, 0.2 mg, twice a day, as needed, since 16 November 2026',
    ],
  ])('%s: %j', (list, resource, line) => {
    const { record, remarks } = readMade(resource);
    expect([lines(record, list), remarks]).toEqual([[line], []]);
  });

  test('a report tells its results; stays before this one are told apart from it', () => {
    const stay = (id: string, start: string, end?: string) => ({
      resourceType: 'Encounter',
      id,
      status: end ? 'finished' : 'in-progress',
      subject: about,
      type: [words(`Stay ${id}`)],
      period: { start, ...(end && { end }) },
      reasonCode: [words(`reason ${id}`)],
    });
    const { record } = readMade(
      stay('a', '2025-01-02', '2025-01-09'),
      stay('b', '2026-11-16'),
      seen({ id: 'o', code: words('Glucose'), valueQuantity: { value: 5.2, unit: 'mmol/L' } }),
      {
        resourceType: 'DiagnosticReport',
        status: 'final',
        subject: about,
        code: words('Blood'),
        conclusion: 'Nothing unusual',
        effectiveDateTime: '2026-11-16',
        result: [{ reference: 'Observation/o' }],
      },
    );
    expect(lines(record, 'stays')).toEqual(['Stay a: reason a, 2 January 2025 to 9 January 2025']);
    expect(lines(record, 'reports')).toEqual([
      'Blood: Nothing unusual: Glucose 5.2 mmol/L, 16 November 2026',
    ]);
    const { details } = record;
    expect(details.find(({ path }) => path === 'reason')?.value).toEqual({ kind: 'text', text: 'reason b' });
  });
});

describe('nothing is told for certain that its source does not say', () => {
  const medicine = (more: object) => ({
    ...{ resourceType: 'MedicationRequest', status: 'active', subject: about },
    ...{ medicationCodeableConcept: words('Warfarin'), ...more },
  });
  test.each<[string, object, string[], string[]]>([
    ['a medicine on hold', medicine({ status: 'on-hold' }), ['active Warfarin, on hold'], []],
    [
      'one of which nobody knows',
      medicine({ status: 'unknown' }),
      ['active Warfarin, not known whether given'],
      [],
    ],
    ['one that is only proposed', medicine({ intent: 'proposal' }), ['planned Warfarin, planned'], []],
    [
      'one that must not be given',
      medicine({ doNotPerform: true }),
      [],
      ['Left out: 1 MedicationRequest, cancelled or refuted.'],
    ],
  ])('%s', (_what, resource, told, remarks) => {
    const made = readMade(resource);
    const { medicines } = made.record;
    expect(medicines.map((one) => `${one.status} ${itemInWords('medicines', one, 'en-GB')}`)).toEqual(told);
    expect(made.remarks).toEqual(remarks);
  });

  test('a problem or an allergy that is not confirmed says so; what must not be done is no request', () => {
    const { record } = readMade(
      {
        resourceType: 'Condition',
        subject: about,
        code: words('Flu'),
        verificationStatus: coded('provisional'),
      },
      {
        resourceType: 'AllergyIntolerance',
        patient: about,
        code: words('Iodine'),
        verificationStatus: coded('unconfirmed'),
      },
      {
        resourceType: 'ServiceRequest',
        status: 'active',
        subject: about,
        code: words('MRI'),
        doNotPerform: true,
      },
    );
    expect([lines(record, 'problems'), lines(record, 'allergies'), lines(record, 'requests')]).toEqual([
      ['Flu (provisional)'],
      ['Iodine: unconfirmed'],
      [],
    ]);
  });

  test('what was measured in error does not count as done', () => {
    const weighing = {
      ...{ resourceType: 'ServiceRequest', status: 'active', subject: about, code: words('Weighing') },
      occurrenceTiming: { repeat: { period: 1, periodUnit: 'd', boundsPeriod: { start: '2026-11-01' } } },
    };
    const wrong = seen({ status: 'entered-in-error', code: words('Weighing'), valueInteger: 1 });
    expect(readMade(weighing, wrong).record.care).toMatchObject([{ done: null, from: '2026-11-01' }]);
  });

  test('names of nothing but spaces are none', () => {
    expect(readMade(seen({ code: words('  '), valueInteger: 1 })).remarks).toEqual([
      'Left out: 1 Observation, without a name.',
    ]);
  });
});
