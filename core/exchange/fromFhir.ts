import { cutTo } from '#core/language';
import { isCalendarDate, type CalendarDate } from '#core/calendar';
import type { CaseRecord, RecordDetail, Value } from '#core/record';
import type { Fault } from './fault';
import { follow, nameInWords, ofType, takeApart, wordsFor, type Placed, type TakenApart } from './fhirBundle';
import { readCare } from './fhirCare';
import type { Concept, Reference, Resource } from './fhirResources';

/** A case as read from a Bundle. */
export interface ReadCase {
  title: string;
  number: string | null;
  record: CaseRecord;
}

/** What came of reading: a case with remarks on what was passed over, or the faults that stood in the way. */
export type FhirReading = { ok: true; read: ReadCase; remarks: string[] } | { ok: false; faults: Fault[] };

const ANIMAL = 'http://hl7.org/fhir/StructureDefinition/patient-animal';
const LOINC: Record<string, string> = {
  '29463-7': 'weight',
  '3141-9': 'weight',
  '8310-5': 'temperature',
  '8867-4': 'heart rate',
  '9279-1': 'breathing rate',
};
const UCUM: Record<string, string> = { Cel: '°C', '/min': 'a minute', '{beats}/min': 'beats a minute' };

/** The calendar date a FHIR dateTime was written on, in its own place: no zone moves it. Null for a part of a date. */
const dayOf = (written: string | undefined): CalendarDate | null => {
  const day = written?.slice(0, 10) ?? '';
  return isCalendarDate(day) ? day : null;
};

const minuteOf = (written: string | undefined): number | null => {
  const time = /T(\d{2}):(\d{2})/.exec(written ?? '');
  return time ? Number(time[1]) * 60 + Number(time[2]) : null;
};

const text = (words: string): Value => ({ kind: 'text', text: words });

function dateValue(written: string): Value {
  const day = dayOf(written);
  return day ? { kind: 'date', date: day } : text(written);
}

/** Where a value came from, in the words of the ward rather than of the format. */
const SOURCES = {
  Patient: 'Patient details',
  Encounter: 'Admission',
  Observation: 'Measurement',
  Condition: 'Problem list',
  MedicationStatement: 'Medicine list',
  MedicationRequest: 'Prescription',
} as const;

/** Collects details that have a value, each with its source. */
function details(
  source: string,
  asOf: CalendarDate | null,
  found: [string, Value | null | undefined][],
): RecordDetail[] {
  return found.flatMap(([path, value]) => (value ? [{ path, value, source, asOf }] : []));
}

const lowerFirst = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
const asText = (words: string | null | undefined) => (words ? text(words) : null);

/** A name of a kind of animal reads in lower case within a sentence, unless it starts with a proper name. */
function speciesName(concept: Concept | undefined): string | null {
  const words = wordsFor(concept);
  return words && /^(European|Eurasian|Canada|Daubenton)/.test(words) ? words : words && lowerFirst(words);
}

function readPatient({ resource: patient }: Placed<'Patient'>, stamp: CalendarDate | null): RecordDetail[] {
  const animal = patient.extension?.find(({ url }) => url === ANIMAL)?.extension;
  const part = (name: string) => animal?.find(({ url }) => url === name)?.valueCodeableConcept;
  return details(SOURCES.Patient, stamp, [
    ['name', asText(nameInWords(patient.name))],
    ['species', asText(speciesName(part('species')))],
    ['breed', asText(wordsFor(part('breed')))],
    ['sex', patient.gender && patient.gender !== 'unknown' ? text(patient.gender) : null],
    ['born', patient.birthDate ? dateValue(patient.birthDate) : null],
    ['number', asText(patient.identifier?.find(({ value }) => value)?.value)],
  ]);
}

function personFor(taken: TakenApart, reference: Reference | undefined): string | null {
  const resource = follow(taken, reference);
  const named = resource?.resourceType === 'Practitioner' ? nameInWords(resource.name) : null;
  return named ?? reference?.display ?? null;
}

function readEncounter(taken: TakenApart, { resource }: Placed<'Encounter'>): RecordDetail[] {
  const start = resource.period?.start;
  return details(SOURCES.Encounter, dayOf(start), [
    ['admitted', start ? dateValue(start) : null],
    ['date', start ? dateValue(start) : null],
    [
      'reason',
      asText(
        resource.reasonCode
          ?.map((reason) => wordsFor(reason))
          .filter(Boolean)
          .join('; '),
      ),
    ],
    ['ward', asText(resource.location?.[0]?.location.display)],
    ['clinician', asText(personFor(taken, resource.participant?.[0]?.individual))],
  ]);
}

const measureCode = (concept: Concept): string | null => {
  const coded = concept.coding?.map(({ code }) => (code ? LOINC[code] : undefined)).find(Boolean);
  return (coded ?? cutTo(wordsFor(concept)?.toLowerCase() ?? '', 60)) || null;
};

function readObservation(
  taken: TakenApart,
  { resource, place }: Placed<'Observation'>,
  faults: Fault[],
  remarks: string[],
) {
  const { valueQuantity: quantity } = resource;
  const label = wordsFor(resource.code);
  const code = measureCode(resource.code);
  if (resource.status === 'entered-in-error' || resource.status === 'cancelled') return [];
  if (!quantity || !label || !code) {
    remarks.push(`${label ?? 'An observation'} (${place}) has no number and was left out.`);
    return [];
  }
  const when = resource.effectiveDateTime ?? resource.effectivePeriod?.start;
  const measured = dayOf(when);
  if (!measured) {
    faults.push({
      place: `${place}.effectiveDateTime`,
      message: `${label} must say on which day it was measured`,
    });
    return [];
  }
  const unit = quantity.unit ?? (quantity.code ? (UCUM[quantity.code] ?? quantity.code) : '');
  const by = personFor(taken, resource.performer?.[0]);
  return [
    {
      code,
      label,
      value: quantity.value,
      unit,
      measured,
      minute: minuteOf(when),
      by,
      source: SOURCES.Observation,
    },
  ];
}

function readCondition({ resource }: Placed<'Condition'>): CaseRecord['problems'] {
  const label = wordsFor(resource.code);
  if (!label) return [];
  const status = wordsFor(resource.clinicalStatus)?.toLowerCase() ?? 'active';
  const over = ['resolved', 'inactive', 'remission'].includes(status);
  const since = dayOf(resource.onsetDateTime) ?? dayOf(resource.recordedDate);
  return [{ label, status: over ? 'resolved' : 'active', since, source: SOURCES.Condition }];
}

type MedicationResource = Resource<'MedicationStatement'> | Resource<'MedicationRequest'>;

const MEDICINE_STATUS: Record<string, 'active' | 'ended' | 'planned'> = {
  active: 'active',
  'on-hold': 'active',
  intended: 'planned',
  draft: 'planned',
};

/** The name of a medicine, said in the resource itself or in the Medication it refers to. */
function medicineName(taken: TakenApart, resource: MedicationResource): string | null {
  const target = follow(taken, resource.medicationReference);
  const referred =
    target?.resourceType === 'Medication' ? wordsFor(target.code) : resource.medicationReference?.display;
  return wordsFor(resource.medicationCodeableConcept) ?? referred ?? null;
}

function readMedicine(
  taken: TakenApart,
  resource: MedicationResource,
  place: string,
  faults: Fault[],
): CaseRecord['medicines'] {
  if (resource.status === 'entered-in-error') return [];
  const name = medicineName(taken, resource);
  if (!name) {
    faults.push({ place: `${place}.medicationCodeableConcept`, message: 'the medicine has no name' });
    return [];
  }
  const isStatement = resource.resourceType === 'MedicationStatement';
  const began = isStatement
    ? (resource.effectivePeriod?.start ?? resource.effectiveDateTime)
    : resource.authoredOn;
  return [
    {
      name,
      dose: (isStatement ? resource.dosage : resource.dosageInstruction)?.[0]?.text ?? null,
      status: MEDICINE_STATUS[resource.status] ?? 'ended',
      since: dayOf(began),
      until: isStatement ? dayOf(resource.effectivePeriod?.end) : null,
      source: SOURCES[resource.resourceType],
    },
  ];
}

/** Resources that speak of someone else would mix two records: each such one is a fault. */
function strangers(taken: TakenApart, patient: Resource<'Patient'>): Fault[] {
  return taken.all.flatMap(({ resource, place }) => {
    const subject =
      resource.resourceType === 'Immunization'
        ? resource.patient
        : 'subject' in resource
          ? (resource.subject as Reference | undefined)
          : undefined;
    if (!subject?.reference || follow(taken, subject) === patient) return [];
    return [
      {
        place: `${place}.subject`,
        message: `speaks of ${subject.reference}, who is not the patient of this Bundle`,
      },
    ];
  });
}

function readAll(
  taken: TakenApart,
  patient: Placed<'Patient'>,
  stamp: CalendarDate | null,
  faults: Fault[],
): [ReadCase, string[]] {
  const remarks = [...taken.skipped].map(
    ([type, count]) => `${count} ${type} left out: Elderleaf does not read it yet.`,
  );
  const encounters = ofType(taken, 'Encounter').sort((a, b) =>
    (b.resource.period?.start ?? '').localeCompare(a.resource.period?.start ?? ''),
  );
  if (encounters.length > 1) remarks.push('Several encounters: the latest was taken as this admission.');
  const encounter = encounters[0] ? readEncounter(taken, encounters[0]) : [];
  const read = [...readPatient(patient, stamp), ...encounter];
  const care = readCare(taken, faults);
  const record: CaseRecord = {
    version: 1,
    details: read,
    measurements: ofType(taken, 'Observation').flatMap((placed) =>
      readObservation(taken, placed, faults, remarks),
    ),
    problems: ofType(taken, 'Condition').flatMap(readCondition),
    medicines: [...ofType(taken, 'MedicationStatement'), ...ofType(taken, 'MedicationRequest')].flatMap(
      ({ resource, place }) => readMedicine(taken, resource, place, faults),
    ),
    ...(care.length > 0 ? { care } : {}),
  };
  const words = (path: string) => {
    const value = read.find((detail) => detail.path === path)?.value;
    return value?.kind === 'text' ? value.text : null;
  };
  const title = [words('name') ?? 'Unnamed', words('species')].filter(Boolean).join(', ');
  return [{ title, number: words('number'), record }, remarks];
}

/**
 * Reads a case from an HL7 FHIR R4 Bundle (Patient with the patient-animal extension, Encounter, Observation,
 * Condition, MedicationStatement and MedicationRequest, Medication, ServiceRequest, Procedure, Immunization, Practitioner), given as parsed JSON.
 * Bad input is no exception: it comes back as faults, each with its place in the Bundle.
 */
export function readFhirBundle(value: unknown): FhirReading {
  const taken = takeApart(value);
  const faults = [...taken.faults];
  const patients = ofType(taken, 'Patient');
  if (faults.length === 0 && patients.length !== 1) {
    const count = patients.length === 0 ? 'there is no Patient' : `there are ${patients.length} Patients`;
    faults.push({ place: 'Bundle.entry', message: `${count} in the Bundle: a case needs exactly one` });
  }
  const [patient] = patients;
  if (!patient || faults.length > 0) return { ok: false, faults };
  faults.push(...strangers(taken, patient.resource));
  const stamp = dayOf((value as { timestamp?: string }).timestamp);
  const [read, remarks] = readAll(taken, patient, stamp, faults);
  return faults.length > 0 ? { ok: false, faults } : { ok: true, read, remarks };
}
