import { expect, test } from '@jest/globals';
import { newEntry, type Field } from '#core/entry';
import { fillWording } from '#core/fill';
import { passageFrom } from '#core/notation';
import { plainText } from '#core/passage';
import type { CaseRecord } from '#core/record';
import { readFhir } from '.';

const TODAY = '2026-11-24';
const words = (text: string) => ({ text });
const about = { reference: 'Patient/1' };

const measured = (code: object, unit: string, ...values: [day: string, value: number][]) =>
  values.map(([day, value]) => ({
    resourceType: 'Observation',
    status: 'final',
    code,
    subject: about,
    effectiveDateTime: day,
    valueQuantity: { value, unit },
  }));
const loinc = (code: string, display: string) => ({ coding: [{ code, display }] });
const seen = (what: string, day: string, value: object) => ({
  ...{ resourceType: 'Observation', status: 'final', code: words(what), subject: about },
  effectiveDateTime: day,
  ...value,
});
const given = (vaccine: string, day: string, status = 'completed') => ({
  ...{ resourceType: 'Immunization', status, patient: about, vaccineCode: words(vaccine) },
  occurrenceDateTime: day,
});
const allergic = (to: string, more: object = {}) => ({
  ...{ resourceType: 'AllergyIntolerance', patient: about, code: words(to) },
  ...more,
});
const problem = (what: string, onsetDateTime: string, abatementDateTime?: string) => ({
  ...{ resourceType: 'Condition', subject: about, code: words(what), onsetDateTime },
  ...(abatementDateTime && { abatementDateTime }),
});
const medicine = (name: string, text: string, status: string, start: string, end?: string) => ({
  ...{ resourceType: 'MedicationStatement', status, subject: about, medicationCodeableConcept: words(name) },
  dosage: [{ text }],
  effectivePeriod: { start, ...(end && { end }) },
});
const again = (what: string, period: number, periodUnit: string, start: string) => ({
  ...{ resourceType: 'ServiceRequest', status: 'active', subject: about, code: words(what) },
  occurrenceTiming: { repeat: { period, periodUnit, boundsPeriod: { start } } },
});
const done = (what: string, performedDateTime: string, outcome?: string) => ({
  ...{ resourceType: 'Procedure', status: 'completed', subject: about, code: words(what), performedDateTime },
  ...(outcome && { outcome: words(outcome) }),
});
const pressure = (day: string, upper: number, lower: number) => ({
  ...{ resourceType: 'Observation', status: 'final', subject: about, effectiveDateTime: day },
  code: loinc('85354-9', 'Blood pressure'),
  component: [
    { code: loinc('8480-6', 'Systolic'), valueQuantity: { value: upper, unit: 'mmHg' } },
    { code: loinc('8462-4', 'Diastolic'), valueQuantity: { value: lower, unit: 'mmHg' } },
  ],
});
const stay = (type: string, start: string, end?: string) => ({
  ...{
    resourceType: 'Encounter',
    status: end ? 'finished' : 'in-progress',
    subject: about,
    type: [words(type)],
  },
  period: { start, ...(end && { end }) },
});

/** Three records: a seal that is well known, a warden with what comes of years, a foundling of whom hardly anything is known. */
const RESOURCES: Record<string, object[]> = {
  seal: [
    { resourceType: 'Patient', id: '1', name: [words('Dune')], gender: 'female', birthDate: '2026-06-20' },
    stay('Seal pool', '2026-11-02'),
    stay('Beach rescue', '2026-08-01', '2026-08-09'),
    ...measured(
      loinc('29463-7', 'Weight'),
      'kg',
      ['2026-11-02', 9.4],
      ['2026-11-10', 10.1],
      ['2026-11-18', 11.6],
      ['2026-11-22', 11.2],
    ),
    ...measured(
      loinc('8310-5', 'Temperature'),
      '°C',
      ['2026-11-02', 38.9],
      ['2026-11-10', 37.2],
      ['2026-11-22', 36.8],
    ),
    ...measured(loinc('8867-4', 'Heart rate'), 'beats a minute', ['2026-11-02', 110], ['2026-11-22', 96]),
    ...measured(words('Glucose'), 'mmol/L', ['2026-11-03', 5.2]),
    allergic('Enrofloxacin', {
      reaction: [{ manifestation: [words('vomiting')] }],
      recordedDate: '2026-08-03',
    }),
    allergic('Iodine', { clinicalStatus: { coding: [{ code: 'resolved' }] } }),
    given('Phocine distemper', '2026-08-05'),
    given('Erysipelas', '2026-11-04'),
    given('Leptospirosis', '2026-11-04', 'not-done'),
    {
      resourceType: 'ImmunizationRecommendation',
      patient: about,
      recommendation: [
        { vaccineCode: [words('Phocine distemper')], dateCriterion: [{ value: '2026-11-26' }] },
      ],
    },
    medicine('Cefalexin', '250 mg twice a day', 'active', '2026-11-16'),
    medicine('Fish oil', '5 ml', 'active', '2026-11-04'),
    medicine('Oral rehydration', '100 ml', 'completed', '2026-11-02', '2026-11-05'),
    problem('lungworm', '2026-11-03'),
    problem('bite wound', '2026-11-02'),
    problem('dehydration', '2026-11-02', '2026-11-06'),
    done('Wound flushed', '2026-11-02', 'clean'),
    done('Chest X-ray', '2026-11-03'),
    {
      ...{
        resourceType: 'DiagnosticReport',
        status: 'final',
        subject: about,
        code: words('Faecal flotation'),
      },
      effectiveDateTime: '2026-11-03',
      conclusion: 'lungworm larvae',
    },
    {
      resourceType: 'ServiceRequest',
      status: 'active',
      subject: about,
      code: words('Repeat X-ray'),
      authoredOn: '2026-11-20',
    },
    { resourceType: 'CarePlan', status: 'active', subject: about, title: 'Feeding up' },
    {
      ...{
        resourceType: 'Goal',
        lifecycleStatus: 'active',
        subject: about,
        description: words('weighs 20 kg'),
      },
      startDate: '2026-11-02',
    },
    again('Weighing', 2, 'd', '2026-11-02'),
    again('Wound check', 3, 'd', '2026-11-02'),
    done('Wound check', '2026-11-19'),
    seen('Appetite', '2026-11-20', { valueString: 'takes three herring' }),
    seen('Appetite', '2026-11-22', { valueString: 'takes five herring' }),
    seen('Faeces', '2026-11-21', { valueCodeableConcept: words('formed') }),
  ],
  ranger: [
    {
      resourceType: 'Patient',
      id: '1',
      name: [words('Ansel Trowe')],
      gender: 'male',
      birthDate: '1959-03-12',
    },
    pressure('2026-05-04', 164, 98),
    pressure('2026-11-19', 151, 92),
    pressure('2026-11-23', 146, 88),
    ...measured(loinc('29463-7', 'Weight'), '[lb_av]', ['2026-05-04', 198]),
    ...measured(loinc('29463-7', 'Weight'), 'kg', ['2026-11-23', 88]),
    ...measured(loinc('8302-2', 'Height'), 'cm', ['2026-05-04', 179]),
    ...measured(loinc('39156-5', 'BMI'), 'kg/m2', ['2026-05-04', 28.03], ['2026-11-23', 27.46]),
    allergic('Penicillin', { criticality: 'high', reaction: [{ manifestation: [words('hives')] }] }),
    allergic('Wasp venom'),
    {
      ...{
        resourceType: 'FamilyMemberHistory',
        status: 'completed',
        patient: about,
        relationship: words('father'),
      },
      condition: [{ code: words('stroke') }],
      date: '2020-01-05',
    },
    given('Tetanus', '2017-06-01'),
    {
      resourceType: 'ImmunizationRecommendation',
      patient: about,
      recommendation: [{ vaccineCode: [words('Influenza')], dateCriterion: [{ value: '2026-10-01' }] }],
    },
    again('Bowel screening', 2, 'a', '2019-03-12'),
    done('Bowel screening', '2024-10-02', 'nothing found'),
    seen('Smoking', '2026-05-04', { valueCodeableConcept: words('gave up 2004') }),
    problem('hypertension', '2015-02-01'),
    problem('pneumonia', '2021-12-01', '2022-01-10'),
    medicine('Ramipril', '5 mg each morning', 'active', '2015-02-10'),
    { resourceType: 'Goal', lifecycleStatus: 'active', subject: about, description: words('under 140/90') },
  ],
  foundling: [
    { resourceType: 'Patient', id: '1' },
    {
      ...{ resourceType: 'AllergyIntolerance', patient: about, recordedDate: '2026-11-20' },
      code: { coding: [{ code: '716186003', display: 'No known allergy' }] },
    },
  ],
};

const RECORDS = new Map(
  Object.entries(RESOURCES).map(([name, values]): [string, CaseRecord] => {
    const reading = readFhir([{ name, values }]);
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { record } = reading.read[0]!;
    // The last note was written on the morning of the 21st.
    return [
      name,
      { ...record, lastNote: { at: '2026-11-21T09:00:00.000Z', day: '2026-11-21', minute: 540 } },
    ];
  }),
);

/** A wording in which every blank is named by the path that it asks. */
function filled(record: CaseRecord, wording: string): string {
  const paths = [...new Set([...wording.matchAll(/\{([^|}]+)/g)].map(([, path]) => path!))];
  const fields = paths.map((path, at): Field => ({
    id: `f${at}`,
    name: `F${at}`,
    question: '',
    hint: '',
    required: true,
    kind: 'detail',
    path,
  }));
  const source = paths.reduce((text, path, at) => text.replaceAll(`{${path}`, `{f${at}`), wording);
  const content = newEntry('Asked', 'en-GB', passageFrom(source));
  const entry = { id: 'e', revision: 1, content: { ...content, fields } };
  return plainText(fillWording({ entry, record, today: TODAY }));
}

/** What a wording reads for a record; a blank in brackets is a gap: the record does not say. */
const WORDINGS: readonly [string, string, string][] = [
  ['seal', 'It weighs {weight}.', 'It weighs 11.2 kg.'],
  ['seal', '{weight|dated}', '11.2 kg (22 November 2026)'],
  ['seal', '{first weight}', '9.4 kg'],
  ['seal', '{last weight}', '11.2 kg'],
  ['seal', '{highest weight}', '11.6 kg'],
  ['seal', '{lowest weight}', '9.4 kg'],
  ['seal', '{mean weight}', '10.57 kg'],
  ['seal', '{change in weight}', '1.8 kg'],
  ['seal', '{change in weight in 7 days}', '-0.4 kg'],
  ['seal', '{highest weight in 3 days}', '11.2 kg'],
  ['seal', '{mean weight in 2 weeks}', '10.97 kg'],
  ['seal', '{lowest weight in 1 months}', '9.4 kg'],
  ['seal', '{day of weight}', '22 November 2026'],
  ['seal', '{weight on admission}', '9.4 kg'],
  ['seal', '{weight change}', '1.8 kg'],
  ['seal', '{weighed}', '22 November 2026'],
  ['seal', '{temperature}', '36.8 °C'],
  ['seal', '{first temperature}', '38.9 °C'],
  ['seal', '{highest temperature}', '38.9 °C'],
  ['seal', '{lowest temperature}', '36.8 °C'],
  ['seal', '{mean temperature}', '37.63 °C'],
  ['seal', '{change in temperature}', '-2.1 °C'],
  ['seal', '{day of temperature}', '22 November 2026'],
  ['seal', '{heart rate}', '96 beats a minute'],
  ['seal', '{highest heart rate}', '110 beats a minute'],
  ['seal', '{mean heart rate}', '103 beats a minute'],
  [
    'seal',
    '{weight, temperature, heart rate}',
    'Weight: 11.2 kg on 22 November 2026, Temperature: 36.8 °C on 22 November 2026 and Heart rate: 96 beats a minute on 22 November 2026',
  ],
  [
    'seal',
    '{weight, temperature}',
    'Weight: 11.2 kg on 22 November 2026 and Temperature: 36.8 °C on 22 November 2026',
  ],
  [
    'seal',
    '{measurements}',
    'Weight: 11.2 kg on 22 November 2026, Temperature: 36.8 °C on 22 November 2026, Heart rate: 96 beats a minute on 22 November 2026 and Glucose: 5.2 mmol/L on 3 November 2026',
  ],
  ['seal', '{breathing rate}', ''],
  ['seal', '{highest breathing rate}', ''],
  ['seal', '{glucose}', '5.2 mmol/L'],
  ['seal', '{day of glucose}', '3 November 2026'],
  ['seal', '{allergies}', 'Enrofloxacin (vomiting)'],
  ['seal', '{allergies with days}', 'Enrofloxacin (vomiting, since 3 August 2026)'],
  ['seal', '{immunisations}', 'Erysipelas and Phocine distemper'],
  ['seal', '{immunisations with days}', 'Erysipelas (4 November 2026) and Phocine distemper (5 August 2026)'],
  ['seal', '{immunisations due}', 'Phocine distemper: due 26 November 2026, last done 5 August 2026'],
  ['seal', '{medicines}', 'Cefalexin 250 mg twice a day and Fish oil 5 ml'],
  [
    'seal',
    '{medicines with days}',
    'Cefalexin 250 mg twice a day (since 16 November 2026) and Fish oil 5 ml (since 4 November 2026)',
  ],
  ['seal', '{stopped medicines}', 'Oral rehydration 100 ml'],
  ['seal', '{stopped medicines with days}', 'Oral rehydration 100 ml (2 November 2026 to 5 November 2026)'],
  ['seal', '{problems}', 'Lungworm and bite wound'],
  ['seal', '{problems with days}', 'Lungworm (since 3 November 2026) and bite wound (since 2 November 2026)'],
  ['seal', '{resolved problems}', 'Dehydration'],
  ['seal', '{resolved problems with days}', 'Dehydration (2 November 2026 to 6 November 2026)'],
  ['seal', '{procedures}', 'Wound check, Chest X-ray and Wound flushed (clean)'],
  [
    'seal',
    '{procedures with days}',
    'Wound check (19 November 2026), Chest X-ray (3 November 2026) and Wound flushed (clean, 2 November 2026)',
  ],
  ['seal', '{reports}', 'Faecal flotation (lungworm larvae)'],
  ['seal', '{reports with days}', 'Faecal flotation (lungworm larvae, 3 November 2026)'],
  ['seal', '{requests}', 'Repeat X-ray'],
  ['seal', '{plans}', 'Feeding up'],
  ['seal', '{goals}', 'Weighs 20 kg'],
  ['seal', '{goals with days}', 'Weighs 20 kg (since 2 November 2026)'],
  ['seal', '{stays}', 'Beach rescue'],
  ['seal', '{stays with days}', 'Beach rescue (1 August 2026 to 9 August 2026)'],
  ['seal', '{observations}', 'Appetite (takes five herring) and Faeces (formed)'],
  [
    'seal',
    '{observations with days}',
    'Appetite (takes five herring, 22 November 2026) and Faeces (formed, 21 November 2026)',
  ],
  [
    'seal',
    '{due}',
    'Weighing: overdue since 2 November 2026, never done, Wound check: overdue since 22 November 2026, last done 19 November 2026 and Phocine distemper: due 26 November 2026, last done 5 August 2026',
  ],
  [
    'seal',
    '{overdue}',
    'Weighing: overdue since 2 November 2026, never done and Wound check: overdue since 22 November 2026, last done 19 November 2026',
  ],
  [
    'seal',
    '{since last note}',
    'Weight 11.2 kg, 22 November 2026, Temperature 36.8 °C, 22 November 2026, Heart rate 96 beats a minute, 22 November 2026 and Appetite: takes five herring, 22 November 2026',
  ],
  ['seal', '{name}, {age}, {sex}', 'Dune, 5 months, female'],
  ['seal', '{days in care}', '22 days'],
  ['ranger', 'Blood pressure {blood pressure}.', 'Blood pressure 146/88 mmHg.'],
  ['ranger', '{systolic}', '146 mmHg'],
  ['ranger', '{highest systolic}', '164 mmHg'],
  ['ranger', '{lowest diastolic}', '88 mmHg'],
  ['ranger', '{mean systolic}', '153.7 mmHg'],
  ['ranger', '{change in systolic}', '-18 mmHg'],
  ['ranger', '{mean systolic in 7 days}', '148.5 mmHg'],
  [
    'ranger',
    '{systolic, diastolic}',
    'Systolic: 146 mmHg on 23 November 2026 and Diastolic: 88 mmHg on 23 November 2026',
  ],
  ['ranger', '{weight}', '88 kg'],
  ['ranger', '{change in weight}', '-1.8 kg'],
  ['ranger', '{highest weight}', '198 lb'],
  ['ranger', '{mean weight}', '88.9 kg'],
  ['ranger', '{allergies}', 'Penicillin (hives; high risk) and Wasp venom'],
  ['ranger', '{family}', 'Father (stroke)'],
  ['ranger', '{family with days}', 'Father (stroke)'],
  ['ranger', '{immunisations}', 'Tetanus'],
  ['ranger', '{immunisations due}', 'Influenza: overdue since 1 October 2026'],
  [
    'ranger',
    '{due}',
    'Influenza: overdue since 1 October 2026 and Bowel screening: overdue since 2 October 2026, last done 2 October 2024',
  ],
  ['ranger', '{observations}', 'Smoking (gave up 2004)'],
  ['ranger', '{problems}', 'Hypertension'],
  ['ranger', '{resolved problems}', 'Pneumonia'],
  ['ranger', '{medicines}', 'Ramipril 5 mg each morning'],
  ['ranger', '{procedures}', 'Bowel screening (nothing found)'],
  ['ranger', '{age}', '67 years'],
  ['ranger', '{height}', '179 cm'],
  ['ranger', '{body mass index}', '27.46 kg/m2'],
  ['ranger', '{first body mass index}', '28.03 kg/m2'],
  ['ranger', '{goals}', 'Under 140/90'],
  ['foundling', '{weight}', ''],
  ['foundling', '{allergies}', 'No known allergies'],
  ['foundling', '{allergies with days}', 'No known allergies'],
  ['foundling', '{immunisations}', ''],
  ['foundling', '{problems}', ''],
  ['foundling', '{medicines}', ''],
  ['foundling', '{blood pressure}', ''],
  ['foundling', '{highest temperature}', ''],
  ['foundling', '{since last note}', ''],
  ['foundling', '{due}', ''],
  ['foundling', '{stays}', ''],
  ['foundling', '{family}', ''],
  ['foundling', '{name}', ''],
];

test.each(WORDINGS)('%s: %s', (name, wording, expected) => {
  expect(filled(RECORDS.get(name)!, wording)).toBe(expected);
});
