import { describe, expect, test } from '@jest/globals';
import { itemInWords, itemsOf, lookUp, type CaseRecord, type RecordList } from '#core/record';
import { readFhir, type ReadCase } from '.';

const about = { reference: 'Patient/1' };
const patient = (id: string, more: object = {}) => ({
  resourceType: 'Patient',
  id,
  name: [{ text: `P${id}` }],
  ...more,
});
const words = (text: string) => ({ text });
const coded = (code: string, display?: string) => ({ coding: [{ code, ...(display && { display }) }] });

/** Reads resources about Patient/1, one by one as in NDJSON; fails where they are refused. */
function read(...resources: object[]): { all: ReadCase[]; record: CaseRecord; remarks: string[] } {
  const reading = readFhir([{ name: 'a.ndjson', values: [patient('1'), ...resources] }]);
  if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
  return { all: reading.read, record: reading.read[0]!.record, remarks: reading.remarks };
}
const lines = (record: CaseRecord, list: RecordList) =>
  itemsOf(record, list).map((item) => itemInWords(list, item, 'en-GB'));

const seen = (more: object) => ({
  resourceType: 'Observation',
  status: 'final',
  code: words('Seen'),
  subject: about,
  effectiveDateTime: '2026-11-16T08:10:00+02:00',
  ...more,
});

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
    const { record, remarks } = read(seen(more));
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
    const { record } = read(
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
    const { record } = read(
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
    const { record } = read(seen({ valueQuantity: { value, unit: 'kg' } }));
    expect(record.measurements[0]!.value).toBe(measured);
  });

  test('names go by what a code is displayed as, else by text, else by the code', () => {
    const { record } = read(
      ...[
        { ...words('as written'), coding: [{ code: 'c', display: 'As displayed' }] },
        words('As written'),
        coded('77-7'),
      ].map((code) => seen({ code, valueInteger: 1 })),
    );
    expect(record.measurements.map(({ label }) => label)).toEqual(['As displayed', 'As written', '77-7']);
  });
});

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
    const { record, remarks } = read(resource);
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
    const { record } = read(
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
    expect(read(...resources).remarks).toEqual(remarks);
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
    const made = read(resource);
    const { medicines } = made.record;
    expect(medicines.map((one) => `${one.status} ${itemInWords('medicines', one, 'en-GB')}`)).toEqual(told);
    expect(made.remarks).toEqual(remarks);
  });

  test('a problem or an allergy that is not confirmed says so; what must not be done is no request', () => {
    const { record } = read(
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
    expect(read(weighing, wrong).record.care).toMatchObject([{ done: null, from: '2026-11-01' }]);
  });

  test('names of nothing but spaces are none', () => {
    expect(read(seen({ code: words('  '), valueInteger: 1 })).remarks).toEqual([
      'Left out: 1 Observation, without a name.',
    ]);
  });
});

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

test('of more than a record holds the newest are taken, and the rest is told', () => {
  const many = Array.from({ length: 1002 }, (_, at) => ({
    ...{ resourceType: 'MedicationRequest', status: 'active', subject: about },
    ...{ medicationCodeableConcept: words(`m${at}`), authoredOn: at === 500 ? '2020-01-01' : '2026-01-01' },
  }));
  const { record, remarks } = read(...many);
  expect(record.medicines).toHaveLength(1000);
  expect(record.medicines.map(({ name }) => name)).not.toContain('m500');
  expect(remarks).toEqual([
    'Left out: 2 medicines, since a record holds no more of them; the newest were taken.',
  ]);
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
