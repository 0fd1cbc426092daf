import { readFhir, type ReadCase } from '#core/fhir';
import { itemInWords, itemsOf, type CaseRecord, type RecordList } from '#core/record';

/** Whom made resources are about. */
export const about = { reference: 'Patient/1' };
/** A made patient of an id. */
export const patient = (id: string, more: object = {}) => ({
  resourceType: 'Patient',
  id,
  name: [{ text: `P${id}` }],
  ...more,
});
/** A concept in words. */
export const words = (text: string) => ({ text });
/** A concept by its code. */
export const coded = (code: string, display?: string) => ({
  coding: [{ code, ...(display && { display }) }],
});

/** Reads resources about Patient/1, one by one as in NDJSON; fails where they are refused. */
export function readMade(...resources: object[]): { all: ReadCase[]; record: CaseRecord; remarks: string[] } {
  const reading = readFhir([{ name: 'a.ndjson', values: [patient('1'), ...resources] }]);
  if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
  return { all: reading.read, record: reading.read[0]!.record, remarks: reading.remarks };
}
/** The items of a list in words. */
export const lines = (record: CaseRecord, list: RecordList) =>
  itemsOf(record, list).map((item) => itemInWords(list, item, 'en-GB'));

/** A made observation of Patient/1. */
export const seen = (more: object) => ({
  resourceType: 'Observation',
  status: 'final',
  code: words('Seen'),
  subject: about,
  effectiveDateTime: '2026-11-16T08:10:00+02:00',
  ...more,
});
