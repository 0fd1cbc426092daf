import { cutTo } from '#core/language';
import {
  isSameItem,
  itemsOf,
  LIST_LIMITS,
  newestFirst,
  RECORD_LISTS,
  type CaseRecord,
  type RecordDetail,
  type RecordItem,
  type Value,
} from '#core/record';
import { follow, ofType, takingApart, type FhirFile, type PlacedResource, type TakenApart } from './bundle';
import { readCare } from './care';
import type { Fault } from './fault';
import { readProblem, readHistory, stay } from './history';
import { readMedicine } from './medicines';
import { readObservation } from './observations';
import { nameInPlace, RecordReading } from './reading';
import type { Concept, Reference, Resource } from './resources';
import { allInWords, dayOf, nameInWords, wordsFor } from './words';

/** A case as read from files of a record system. */
export interface ReadCase {
  title: string;
  number: string | null;
  record: CaseRecord;
  /** What the files say was entered in error, by the keys of items. */
  withdrawn: readonly string[];
}

/** What came of reading: a case for each patient, with remarks on what was left out; or the faults that were in the way. */
export type FhirReading = { ok: true; read: ReadCase[]; remarks: string[] } | { ok: false; faults: Fault[] };

const ANIMAL = 'http://hl7.org/fhir/StructureDefinition/patient-animal';

const text = (words: string): Value => ({ kind: 'text', text: cutTo(words, 2000) });
const asText = (words: string | null | undefined) => (words ? text(words) : null);

function dateValue(written: string): Value {
  const day = dayOf(written);
  return day ? { kind: 'date', date: day } : text(written);
}

/** Collects details that have a value, each with its source. */
function details(
  source: string,
  asOf: string | null,
  found: [string, Value | null | undefined][],
): RecordDetail[] {
  return found.flatMap(([path, value]) => (value ? [{ path, value, source, asOf }] : []));
}

const lowerFirst = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** A name of a kind of animal reads in lower case within a sentence, unless it starts with a proper name. */
function speciesName(concept: Concept | undefined): string | null {
  // As people say it, where that is written: codes of animals are displayed in Latin.
  const words = concept?.text ?? wordsFor(concept);
  return words && /^(European|Eurasian|Canada|Daubenton)/.test(words) ? words : words && lowerFirst(words);
}

function readPatient({ resource: patient }: PlacedResource<'Patient'>, stamp: string | null): RecordDetail[] {
  const animal = patient.extension?.find(({ url }) => url === ANIMAL)?.extension;
  const part = (name: string) => animal?.find(({ url }) => url === name)?.valueCodeableConcept;
  return details('Patient details', stamp, [
    ['name', asText(nameInWords(patient.name))],
    ['species', asText(speciesName(part('species')))],
    ['breed', asText(wordsFor(part('breed')))],
    ['sex', patient.gender && patient.gender !== 'unknown' ? text(patient.gender) : null],
    ['born', patient.birthDate ? dateValue(patient.birthDate) : null],
    ['number', asText(patient.identifier?.find(({ value }) => value)?.value)],
  ]);
}

/** By which a patient is known again: identifiers that say whose they are. One without a system could be anybody's. */
const identifiersOf = ({ identifier = [] }: Resource<'Patient'>): string[] =>
  identifier.flatMap(({ system, value, use }) =>
    system && value && use !== 'old' ? `${system}|${value}`.slice(0, 300) : [],
  );

function readEncounter(reading: RecordReading, placed: PlacedResource<'Encounter'>): RecordDetail[] {
  const { resource } = placed;
  const start = resource.period?.start;
  return details('Admission', dayOf(start), [
    ['admitted', start ? dateValue(start) : null],
    ['date', start ? dateValue(start) : null],
    ['reason', asText(allInWords(resource.reasonCode))],
    ['ward', asText(resource.location?.[0]?.location.display)],
    ['clinician', asText(nameInPlace(reading, resource.participant?.[0]?.individual, placed))],
  ]);
}

/** The newest encounter is this admission; those before it are its earlier stays. */
function readEncounters(reading: RecordReading): RecordDetail[] {
  const all = reading.ofType('Encounter').flatMap((placed) => {
    const { status } = placed.resource;
    if (status === 'entered-in-error') return reading.withdraw(placed) ?? [];
    return status === 'cancelled' ? (reading.leaving('Encounter')('not-done') ?? []) : [placed];
  });
  const began = ({ resource }: PlacedResource<'Encounter'>) => resource.period?.start ?? '';
  const [latest, ...earlier] = all.sort((a, b) => began(b).localeCompare(began(a)));
  for (const placed of earlier) {
    const { label, ...said } = stay(reading, placed)!;
    const key = reading.keyOf(placed);
    reading.add('stays', { label: label!, ...said, source: 'Admissions', ...(key && { key }) });
  }
  return latest ? readEncounter(reading, latest) : [];
}

/** What comes in several files, as exports that overlap have it, is one thing: known by its name, and by saying the same. */
function keepOnce(record: CaseRecord): void {
  for (const list of RECORD_LISTS) {
    const seen = new Map<string, RecordItem>();
    const once = itemsOf(record, list).filter((item) => {
      const before = item.key === undefined ? undefined : seen.get(item.key);
      if (before && isSameItem(before, item)) return false;
      if (item.key !== undefined) seen.set(item.key, item);
      return true;
    });
    if (once.length < itemsOf(record, list).length) Object.assign(record, { [list]: once });
  }
}

/** Of more items than a record holds the newest, and how many were left out. */
function keepNewest({ record, leaving }: RecordReading): void {
  for (const list of RECORD_LISTS) {
    const items = itemsOf(record, list);
    const most = LIST_LIMITS[list];
    if (items.length <= most) continue;
    const kept = new Set(newestFirst(items).slice(0, most));
    Object.assign(record, { [list]: items.filter((item) => kept.has(item)) });
    for (let left = items.length - most; left > 0; left--) leaving(list)('too-many');
  }
}

/** One patient's record: everything that is about them. */
function readOne(reading: RecordReading, patient: PlacedResource<'Patient'>): ReadCase {
  const stamp = reading.taken.stamps.get(patient.bundle) ?? patient.resource.meta?.lastUpdated;
  const { record } = reading;
  record.details.push(...readPatient(patient, dayOf(stamp)), ...readEncounters(reading));
  for (const placed of reading.ofType('Observation')) readObservation(reading, placed);
  for (const placed of reading.ofType('Condition')) readProblem(reading, placed);
  for (const type of ['MedicationStatement', 'MedicationRequest'] as const)
    for (const placed of reading.ofType(type)) readMedicine(reading, placed);
  readHistory(reading);
  readCare(reading);
  keepOnce(reading.record);
  keepNewest(reading);
  const identifiers = identifiersOf(patient.resource);
  if (identifiers.length > 0) record.identifiers = identifiers.slice(0, 50);
  const words = (path: string) => {
    const value = record.details.find((detail) => detail.path === path)?.value;
    return value?.kind === 'text' ? value.text : null;
  };
  const title = [words('name') ?? 'Unnamed', words('species')].filter(Boolean).join(', ');
  return {
    title: title.slice(0, 200),
    number: words('number')?.slice(0, 60) ?? null,
    record,
    withdrawn: reading.withdrawn,
  };
}

/** Whom a resource is about, as it says. */
function subjectOf(resource: PlacedResource['resource']): Reference | undefined {
  if ('patient' in resource) return resource.patient as Reference | undefined;
  return 'subject' in resource ? (resource.subject as Reference | undefined) : undefined;
}

const ABOUT_NOBODY = new Set(['Patient', 'Practitioner', 'Medication']);

/** Patients that are one and the same, by an identifier or by where they came from, under the first of them. */
function onePatientEach(
  patients: readonly PlacedResource<'Patient'>[],
): Map<PlacedResource<'Patient'>, PlacedResource<'Patient'>> {
  const first = new Map<string, PlacedResource<'Patient'>>();
  const same = new Map<PlacedResource<'Patient'>, PlacedResource<'Patient'>>();
  for (const patient of patients) {
    const ids = identifiersOf(patient.resource);
    const names = ids.length > 0 || !patient.fullUrl ? ids : [patient.fullUrl];
    const known = names.map((name) => first.get(name)).find(Boolean) ?? patient;
    for (const name of names) if (!first.has(name)) first.set(name, known);
    same.set(patient, known);
  }
  return same;
}

/** Says so where the faults are those of an older FHIR: there a state was a text, and a family name a list. */
function olderFhir(faults: readonly Fault[]): Fault[] {
  const sign = faults.find(
    ({ place, message }) => /clinicalStatus$|family$/.test(place) && /is (a text|a list)$/.test(message),
  );
  if (!sign) return [];
  const message = 'this looks like an older FHIR (DSTU2 or STU3): Elderleaf reads R4. Export it as R4';
  return [{ place: sign.place.split(',')[0]!, message }];
}

/** The patient whom a reference names by an identifier alone, as it may; null where it names none of these. */
function identified(
  reference: Reference | undefined,
  patients: Iterable<PlacedResource<'Patient'>>,
): PlacedResource<'Patient'> | null {
  const { system, value } = reference?.identifier ?? {};
  if (!value || reference?.reference) return null;
  const found = [...patients].filter(({ resource }) =>
    resource.identifier?.some((one) => one.value === value && one.system === system),
  );
  return found.length === 1 ? found[0]! : null;
}

/** What is about each patient. What is about nobody here is left out and counted: a value never goes to the wrong patient. */
function byPatient(taken: TakenApart): Map<PlacedResource<'Patient'>, PlacedResource[]> {
  const same = onePatientEach(ofType(taken, 'Patient'));
  const own = new Map([...new Set(same.values())].map((patient) => [patient, [] as PlacedResource[]]));
  const only = own.size === 1 ? [...own.keys()][0]! : null;
  for (const placed of taken.all) {
    const type = placed.resource.resourceType;
    if (ABOUT_NOBODY.has(type)) continue;
    const subject = subjectOf(placed.resource);
    const target = follow(taken, subject, placed) ?? identified(subject, own.keys());
    const patient = target && same.get(target);
    const isNamed = !!subject?.reference || !!subject?.identifier?.value;
    if (patient) own.get(patient)!.push(placed);
    else if (!isNamed && only) own.get(only)!.push(placed);
    else taken.leftOut.add(type, isNamed ? 'someone-else' : 'nobody');
  }
  return own;
}

/**
 * Reads cases from files of a record system in HL7 FHIR R4: Bundles of any type, single resources, or resources one by one as in
 * NDJSON, given as parsed JSON. A case for each patient. What belongs together may be in several files. Bad input is no exception: it
 * comes back as faults, each with its place; what was left out though it is well formed is told by number. Yields now and then, so that
 * others get their turn.
 */
export function* readingFhir(files: readonly FhirFile[]): Generator<void, FhirReading> {
  const taken = yield* takingApart(files);
  const { faults, leftOut } = taken;
  if (faults.length > 0) return { ok: false, faults: [...olderFhir(faults), ...faults] };
  const own = byPatient(taken);
  if (own.size === 0)
    return {
      ok: false,
      faults: [{ place: files[0]?.name ?? 'Bundle', message: 'there is no Patient: a record needs one' }],
    };
  const read: ReadCase[] = [];
  for (const [patient, placed] of own) {
    read.push(readOne(new RecordReading(taken, placed, faults, leftOut), patient));
    yield;
  }
  return faults.length > 0 ? { ok: false, faults } : { ok: true, read, remarks: leftOut.inWords() };
}

/** Reads files as `readingFhir` does, in one go. */
export function readFhir(files: readonly FhirFile[]): FhirReading {
  const reading = readingFhir(files);
  for (;;) {
    const step = reading.next();
    if (step.done) return step.value;
  }
}
