import { ageInWords, dateInWords, daysBetween, type CalendarDate } from '#core/calendar';
import { timeUnit } from '#core/language';
import { careDue, careInWords } from './careDue';
import type { CaseRecord, Measurement } from './record';
import { valueInWords, type Value } from './value';

/** One value of a record with where it came from and when it was so. */
export interface Detail {
  path: string;
  label: string;
  value: Value;
  source: string;
  asOf: CalendarDate | null;
}

/** Of what kind the value of a detail is. */
export type DetailKind = 'text' | 'date' | 'quantity' | 'list';

/** The details that a field can ask a record for, with the name people read and the kind of their value. */
export const DETAILS = [
  { path: 'name', label: 'Name', kind: 'text' },
  { path: 'species', label: 'Species', kind: 'text' },
  { path: 'sex', label: 'Sex', kind: 'text' },
  { path: 'age', label: 'Age', kind: 'text' },
  { path: 'born', label: 'Date of birth', kind: 'date' },
  { path: 'number', label: 'Case number', kind: 'text' },
  { path: 'admitted', label: 'Admitted', kind: 'date' },
  { path: 'days in care', label: 'Days in care', kind: 'quantity' },
  { path: 'reason', label: 'Reason for admission', kind: 'text' },
  { path: 'ward', label: 'Ward', kind: 'text' },
  { path: 'clinician', label: 'Clinician', kind: 'text' },
  { path: 'weight', label: 'Latest weight', kind: 'quantity' },
  { path: 'weight on admission', label: 'Weight on admission', kind: 'quantity' },
  { path: 'weighed', label: 'Last weighed', kind: 'date' },
  { path: 'weight change', label: 'Weight change since admission', kind: 'quantity' },
  { path: 'temperature', label: 'Latest temperature', kind: 'quantity' },
  { path: 'medicines', label: 'Current medicines', kind: 'list' },
  { path: 'problems', label: 'Current problems', kind: 'list' },
  { path: 'measurements', label: 'Latest measurements', kind: 'list' },
  { path: 'due', label: 'Care due or overdue', kind: 'list' },
  { path: 'customer', label: "Enquirer's name", kind: 'text' },
  { path: 'topic', label: 'Topic', kind: 'text' },
  { path: 'place', label: 'Place', kind: 'text' },
  { path: 'date', label: 'Date of the case', kind: 'date' },
  { path: 'language', label: 'Language', kind: 'text' },
] as const satisfies readonly { path: string; label: string; kind: DetailKind }[];

/** The path of a detail that is known of any record. */
export type DetailPath = (typeof DETAILS)[number]['path'];

const LABELS = new Map<string, string>(DETAILS.map(({ path, label }) => [path, label]));

const labelled = (path: string, detail: Omit<Detail, 'path' | 'label'>): Detail => ({
  path,
  label: LABELS.get(path) ?? path,
  ...detail,
});

/** Measurements of one code, oldest first. */
function series(record: CaseRecord, code: string): Measurement[] {
  return record.measurements
    .filter((measurement) => measurement.code === code)
    .sort((a, b) => a.measured.localeCompare(b.measured) || (a.minute ?? 0) - (b.minute ?? 0));
}

const measured = (path: string, found: Measurement | undefined): Detail | null =>
  found
    ? labelled(path, {
        value: { kind: 'quantity', value: found.value, unit: found.unit },
        source: found.source,
        asOf: found.measured,
      })
    : null;

const list = (
  path: string,
  items: string[],
  source: string,
  dates: (CalendarDate | null)[],
): Detail | null =>
  items.length === 0
    ? null
    : labelled(path, {
        value: { kind: 'list', items },
        source,
        asOf: dates.reduce((latest, date) => (date && (!latest || date > latest) ? date : latest), null),
      });

// A record does not change once it is read, so what it holds is put in order once.
const storedIn = new WeakMap<CaseRecord, ReadonlyMap<string, Detail>>();

function stored(record: CaseRecord, path: string): Detail | null {
  let byPath = storedIn.get(record);
  if (!byPath) {
    const named = record.details.map((one) => ({
      ...one,
      label: one.label ?? LABELS.get(one.path) ?? one.path,
    }));
    // Where a path stands twice the first counts: written last here.
    byPath = new Map(named.reverse().map((detail) => [detail.path, detail]));
    storedIn.set(record, byPath);
  }
  return byPath.get(path) ?? null;
}

/** A value with its day: "530 g on 9 March 2027"; in brackets where the word between is not known. */
function onDay(value: string, day: CalendarDate, language: string): string {
  const date = dateInWords(day, 'long', language);
  return /^en\b/i.test(language) ? `${value} on ${date}` : `${value} (${date})`;
}

type Derive = (record: CaseRecord, today: CalendarDate, language: string) => Detail | null;

/** Details that are computed from the rest of the record instead of being stored in it. */
const DERIVED: Record<string, Derive> = {
  age: (record, today, language) => {
    const born = stored(record, 'born');
    if (born?.value.kind !== 'date') return null;
    const age = ageInWords(born.value.date, today, language);
    return age
      ? labelled('age', { value: { kind: 'text', text: age }, source: born.source, asOf: today })
      : null;
  },
  'days in care': (record, today, language) => {
    const admitted = stored(record, 'admitted');
    if (admitted?.value.kind !== 'date') return null;
    const days = daysBetween(admitted.value.date, today);
    if (days < 0) return null;
    const unit = timeUnit(days, 'day', language);
    return labelled('days in care', {
      value: { kind: 'quantity', value: days, unit },
      source: admitted.source,
      asOf: today,
    });
  },
  weight: (record) => measured('weight', series(record, 'weight').at(-1)),
  'weight on admission': (record) => measured('weight on admission', series(record, 'weight')[0]),
  weighed: (record) => {
    const last = series(record, 'weight').at(-1);
    return last
      ? labelled('weighed', {
          value: { kind: 'date', date: last.measured },
          source: last.source,
          asOf: last.measured,
        })
      : null;
  },
  'weight change': (record) => {
    const weights = series(record, 'weight');
    const [first, last] = [weights[0], weights.at(-1)];
    if (!first || !last || first === last || first.unit !== last.unit) return null;
    const value = Number((last.value - first.value).toPrecision(12));
    return labelled('weight change', {
      value: { kind: 'quantity', value, unit: last.unit },
      source: last.source,
      asOf: last.measured,
    });
  },
  measurements: (record, _today, language) => {
    const codes = [...new Set(record.measurements.map(({ code }) => code))];
    const latest = codes.map((code) => series(record, code).at(-1)!);
    return list(
      'measurements',
      latest.map(
        ({ label, value, unit, measured: day }) =>
          `${label}: ${onDay(valueInWords({ kind: 'quantity', value, unit }, language), day, language)}`,
      ),
      latest[0]?.source ?? '',
      latest.map(({ measured: day }) => day),
    );
  },
  due: (record, today, language) => {
    const due = careDue(record, today).filter(({ state }) => state !== 'later');
    return list(
      'due',
      due.map((care) => careInWords(care, language)),
      due[0]?.source ?? '',
      [today],
    );
  },
  temperature: (record) => measured('temperature', series(record, 'temperature').at(-1)),
  medicines: (record) => {
    const active = record.medicines.filter((medicine) => medicine.status === 'active');
    const items = active.map(({ name, dose }) => (dose ? `${name} ${dose}` : name));
    return list(
      'medicines',
      items,
      active[0]?.source ?? '',
      active.map((medicine) => medicine.since),
    );
  },
  problems: (record) => {
    const active = record.problems.filter((problem) => problem.status === 'active');
    return list(
      'problems',
      active.map((problem) => problem.label),
      active[0]?.source ?? '',
      active.map((problem) => problem.since),
    );
  },
};

/**
 * The detail of a record at a path, or null when the record does not hold it. What is stored under the path
 * wins over what could be computed; `today` is the day in the member's own place. What is put into words is in the
 * language given (BCP 47): that of the wording it goes into, or English, as the interface is.
 */
export function lookUp(
  record: CaseRecord,
  path: string,
  today: CalendarDate,
  language = 'en-GB',
): Detail | null {
  return stored(record, path) ?? DERIVED[path]?.(record, today, language) ?? null;
}

/** The measurements behind a detail that is the latest of a series, oldest first; none for other details. */
export function seriesOf(record: CaseRecord, path: string): Measurement[] {
  return path === 'weight' || path === 'temperature' ? series(record, path) : [];
}

/** Every detail the record can answer, in the order of `DETAILS`, then what else it holds. */
export function detailsOf(record: CaseRecord, today: CalendarDate): Detail[] {
  const known = DETAILS.map(({ path }) => lookUp(record, path, today));
  const others = record.details
    .filter(({ path }) => !LABELS.has(path))
    .map(({ path }) => stored(record, path));
  return [...known, ...others].filter((detail): detail is Detail => detail !== null);
}
