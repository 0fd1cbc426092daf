import { about, words } from './madeResources';

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
export const THREE_RECORDS: Readonly<Record<string, object[]>> = {
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
