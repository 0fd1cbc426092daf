import { toHtml } from '#core/exchange';
import { textsOf } from '#core/draft';
import { isEmptyPassage, type Passage } from '#core/passage';
import type { CaseRecord, RecordDetail } from '#core/record';

/** A finished note, as it goes to a record system. */
export interface ClinicalNote {
  title: string;
  /** As readers see it: `finishedPassage`. */
  passage: Passage;
  /** BCP 47. */
  language: string;
  /** When it was written last: an instant (ISO 8601). */
  writtenAt: string;
  author: string;
  record: CaseRecord;
}

type Element = Record<string, unknown>;

/** What XML 1.0 has no place for. */
const UNWRITABLE = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g;

/** A passage as FHIR's narrative wants it (R4, 2.4.0.1): XHTML of the elements that HTML 4 has, within one div of its namespace. */
function narrative(passage: Passage): string {
  const html = toHtml(passage)
    .replace(UNWRITABLE, '')
    .replace(/<(br|hr)>/g, '<$1/>')
    .replace(/<(\/?)section>/g, '<$1div>');
  return `<div xmlns="http://www.w3.org/1999/xhtml">${html || '<p/>'}</div>`;
}

const textAt = ({ details }: CaseRecord, path: string): string | null => {
  const value = details.find((detail: RecordDetail) => detail.path === path)?.value;
  return value?.kind === 'text' ? value.text : null;
};
const dayAt = ({ details }: CaseRecord, path: string): string | null => {
  const value = details.find((detail: RecordDetail) => detail.path === path)?.value;
  return value?.kind === 'date' ? value.date : null;
};

/** Leaves out what is not known: FHIR has no null. */
const known = (element: Element): Element =>
  Object.fromEntries(Object.entries(element).filter(([, value]) => value !== null && value !== undefined));

const GENDERS = new Set(['male', 'female', 'other', 'unknown']);

/** Identifiers as a source gave them; else the number of the case, by itself. */
function identifiersOf(record: CaseRecord): Element[] | null {
  const known = (record.identifiers ?? []).map((one) => {
    const at = one.indexOf('|');
    return { system: one.slice(0, at), value: one.slice(at + 1) };
  });
  const number = textAt(record, 'number');
  if (known.length > 0) return known;
  return number ? [{ value: number }] : null;
}

const ANIMAL = 'http://hl7.org/fhir/StructureDefinition/patient-animal';

function patient(record: CaseRecord): Element {
  const [name, sex, species] = ['name', 'sex', 'species'].map((path) => textAt(record, path));
  const gender = sex?.toLowerCase();
  return known({
    resourceType: 'Patient',
    identifier: identifiersOf(record),
    name: name ? [{ text: name }] : null,
    gender: gender && GENDERS.has(gender) ? gender : null,
    birthDate: dayAt(record, 'born'),
    extension: species
      ? [{ url: ANIMAL, extension: [{ url: 'species', valueCodeableConcept: { text: species } }] }]
      : null,
  });
}

/** The texts of a note, each a section; of a note that has but one, that. */
function sections(passage: Passage): Element[] {
  const texts = textsOf(passage).filter((text) => !isEmptyPassage(text.passage));
  return texts.map(({ name, passage: words }) =>
    known({ title: name, text: { status: 'generated', div: narrative(words) } }),
  );
}

/**
 * A finished note as an HL7 FHIR R4 document: a Bundle of a Composition with the note as its narrative, the Patient it is about and the
 * Practitioner who wrote it. `newId` gives a UUID for each.
 */
export function noteBundle(note: ClinicalNote, newId: () => string): Element {
  const { title, passage, language, writtenAt, author, record } = note;
  const [document, ofPatient, ofAuthor] = [newId(), newId(), newId()].map((id) => `urn:uuid:${id}`);
  const parts = sections(passage);
  const composition = known({
    resourceType: 'Composition',
    language,
    text: { status: 'generated', div: narrative(passage) },
    status: 'final',
    type: {
      coding: [{ system: 'http://loinc.org', code: '11506-3', display: 'Progress note' }],
      text: 'Note',
    },
    subject: { reference: ofPatient, display: textAt(record, 'name') ?? title },
    date: writtenAt,
    author: [{ reference: ofAuthor, display: author }],
    title,
    section: parts.length > 0 ? parts : null,
  });
  const practitioner = { resourceType: 'Practitioner', name: [{ text: author }] };
  return {
    resourceType: 'Bundle',
    identifier: { system: 'urn:ietf:rfc:3986', value: `urn:uuid:${newId()}` },
    type: 'document',
    timestamp: writtenAt,
    entry: [
      { fullUrl: document, resource: composition },
      { fullUrl: ofPatient, resource: patient(record) },
      { fullUrl: ofAuthor, resource: practitioner },
    ],
  };
}
