import { expect, test } from '@jest/globals';
import { newEntry, type Field } from '#core/entry';
import { fillWording } from '#core/fill';
import { passageFrom } from '#core/notation';
import { plainText } from '#core/passage';
import type { CaseRecord } from '#core/record';
import { THREE_RECORDS } from '#core/testing';
import { readFhir } from '.';

const TODAY = '2026-11-24';

const RECORDS = new Map(
  Object.entries(THREE_RECORDS).map(([name, values]): [string, CaseRecord] => {
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
