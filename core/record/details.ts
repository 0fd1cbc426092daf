import { ageInWords, daysBetween, type CalendarDate } from '#core/calendar';
import { timeUnit } from '#core/language';
import { askedList, itemInSentence, noneKnown } from './askedList';
import { careDue, careInWords, type CareDue } from './careDue';
import { itemInWords } from './itemInWords';
import { dayOfItem } from './itemParts';
import { lastInWords, measuredDetail, readMeasuredAsk, seriesAsked, seriesOfCode } from './measuredAsk';
import { newSince } from './newSince';
import { emptyRecord, type CaseRecord, type Measurement } from './record';
import type { Value } from './value';

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
  { path: 'overdue', label: 'Care overdue', kind: 'list' },
  { path: 'immunisations due', label: 'Immunisations due', kind: 'list' },
  { path: 'blood pressure', label: 'Latest blood pressure', kind: 'text' },
  { path: 'allergies', label: 'Allergies', kind: 'list' },
  { path: 'immunisations', label: 'Immunisations given', kind: 'list' },
  { path: 'observations', label: 'Latest observations', kind: 'list' },
  { path: 'reports', label: 'Reports', kind: 'list' },
  { path: 'procedures', label: 'Procedures done', kind: 'list' },
  { path: 'requests', label: 'Open requests', kind: 'list' },
  { path: 'plans', label: 'Care plans', kind: 'list' },
  { path: 'goals', label: 'Goals', kind: 'list' },
  { path: 'family', label: 'Family history', kind: 'list' },
  { path: 'stays', label: 'Earlier stays', kind: 'list' },
  { path: 'resolved problems', label: 'Resolved problems', kind: 'list' },
  { path: 'stopped medicines', label: 'Stopped medicines', kind: 'list' },
  { path: 'since last note', label: 'New since the last note', kind: 'list' },
  { path: 'customer', label: "Enquirer's name", kind: 'text' },
  { path: 'email', label: "Enquirer's email", kind: 'text' },
  { path: 'topic', label: 'Topic', kind: 'text' },
  { path: 'place', label: 'Place', kind: 'text' },
  { path: 'date', label: 'Date of the case', kind: 'date' },
  { path: 'language', label: 'Language', kind: 'text' },
  { path: 'words', label: 'Number of words', kind: 'quantity' },
  { path: 'words over', label: 'Words over the limit', kind: 'quantity' },
  { path: 'words short', label: 'Words short of the limit', kind: 'quantity' },
  { path: 'praised', label: 'What was praised', kind: 'list' },
  { path: 'commonest fault', label: 'Commonest fault', kind: 'text' },
  { path: 'faults', label: 'Faults by criterion', kind: 'list' },
  { path: 'levels', label: 'Levels given', kind: 'list' },
  { path: 'points', label: 'Points', kind: 'text' },
  { path: 'last summing-up', label: 'Last summing-up', kind: 'text' },
] as const satisfies readonly { path: string; label: string; kind: DetailKind }[];

/** The path of a detail that is known of any record. */
export type DetailPath = (typeof DETAILS)[number]['path'];

const LABELS = new Map<string, string>(DETAILS.map(({ path, label }) => [path, label]));

const labelled = (path: string, detail: Omit<Detail, 'path' | 'label'>): Detail => ({
  path,
  label: labelOfDetail(path),
  ...detail,
});

const measured = (path: string, found: Measurement | undefined): Detail | null =>
  found
    ? labelled(path, {
        value: { kind: 'quantity', value: found.value, unit: found.unit },
        source: found.source,
        asOf: found.measured,
      })
    : null;

const list = (path: string, items: string[], source: string, dates: (CalendarDate | null)[]): Detail | null =>
  items.length === 0
    ? null
    : labelled(path, {
        value: { kind: 'list', items },
        source,
        asOf: dates.reduce((latest, date) => (date && (!latest || date > latest) ? date : latest), null),
      });

// A record does not change once it is read, so what it holds is put in order once.
const storedIn = new WeakMap<CaseRecord, ReadonlyMap<string, Detail>>();

/** What a record holds as such, by path, without what is computed from it: what `lookUp` looks at first. The same map for the same record. */
export function storedDetails(record: CaseRecord): ReadonlyMap<string, Detail> {
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
  return byPath;
}

const stored = (record: CaseRecord, path: string): Detail | null => storedDetails(record).get(path) ?? null;

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
  'weight on admission': (record) => measured('weight on admission', seriesOfCode(record, 'weight')[0]),
  weighed: (record, today, language) => asMeasured(record, 'weighed', 'day of weight', today, language),
  'weight change': (record, today, language) =>
    asMeasured(record, 'weight change', 'change in weight', today, language),
  measurements: (record, today, language) => {
    const codes = [...new Set(record.measurements.map(({ code }) => code))];
    const latest = codes.map((code) => seriesOfCode(record, code).at(-1)!);
    return list(
      'measurements',
      lastInWords(latest, language),
      latest[0]?.source ?? '',
      latest.map(({ measured: day }) => day),
    );
  },
  due: (record, today, language) =>
    careList('due', record, today, language, ({ state }) => state !== 'later'),
  overdue: (record, today, language) =>
    careList('overdue', record, today, language, ({ state }) => state === 'overdue'),
  'immunisations due': (record, today, language) =>
    careList(
      'immunisations due',
      record,
      today,
      language,
      (one) => one.isImmunisation && one.state !== 'later',
    ),
  'since last note': (record, _today, language) => {
    const items = record.lastNote ? newSince(record, record.lastNote) : [];
    return list(
      'since last note',
      items.map((one) => itemInWords(one.list, one.item, language)),
      items[0]?.item.source ?? '',
      items.map(({ item }) => dayOfItem(item)),
    );
  },
};

/** Care that comes round again, as a list. */
function careList(
  path: string,
  record: CaseRecord,
  today: CalendarDate,
  language: string,
  isMeant: (care: CareDue) => boolean,
): Detail | null {
  const due = careDue(record, today).filter(isMeant);
  return list(
    path,
    due.map((care) => careInWords(care, language)),
    due[0]?.source ?? '',
    [today],
  );
}

/** What a path asks of measurements, as the detail of another path. */
function asMeasured(
  record: CaseRecord,
  path: string,
  ask: string,
  today: CalendarDate,
  language: string,
): Detail | null {
  const found = measuredDetail(record, ask, today, language);
  return found && labelled(path, { value: found.value, source: found.of.source, asOf: found.of.measured });
}

/** The items of a list, as a detail; "no known allergies" where the record says so. */
function asList(record: CaseRecord, path: string, language: string): Detail | null {
  const asked = askedList(record, path);
  if (!asked) return null;
  const { items } = asked;
  if (items.length === 0) {
    const none = noneKnown(record, path, language);
    if (!none) return null;
    const value = { kind: 'list' as const, items: [none.words] };
    return labelled(path, { value, source: none.item.source, asOf: none.item.since });
  }
  return list(
    path,
    items.map((item) => itemInSentence(item, asked, language)),
    items[0]!.source,
    items.map(dayOfItem),
  );
}

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
  return (
    stored(record, path) ??
    (Object.hasOwn(DERIVED, path) ? DERIVED[path]!(record, today, language) : null) ??
    asList(record, path, language) ??
    asMeasured(record, path, path, today, language)
  );
}

const KINDS_OF = new Map<string, DetailKind>(DETAILS.map(({ path, kind }) => [path, kind]));

/** Of what kind the value of a detail is, by its path: of one that is not known of all records as it is asked for. */
export function kindOfDetail(path: string): DetailKind {
  const known = KINDS_OF.get(path);
  if (known) return known;
  if (askedList(emptyRecord(), path)) return 'list';
  if (!isAskedAsMeasured(path)) return 'text';
  const { which, codes } = readMeasuredAsk(path);
  if (codes.length > 1) return 'list';
  return which === 'day of' ? 'date' : 'quantity';
}

/** Whether a path asks for measurements in so many words, and is no detail that every record may have. */
export const isAskedAsMeasured = (path: string): boolean => {
  if (KINDS_OF.has(path) || askedList(emptyRecord(), path)) return false;
  const { which, within, codes } = readMeasuredAsk(path);
  return (
    /^last /.test(path) || which !== 'last' || within !== null || codes.length > 1 || MEASURED_OFTEN.has(path)
  );
};

/** Measured so often that its name alone is known to ask for it; what else a record may hold by that name is a detail. */
const MEASURED_OFTEN = new Set([
  ...[
    'heart rate',
    'breathing rate',
    'systolic',
    'diastolic',
    'oxygen saturation',
    'height',
    'body mass index',
  ],
]);

/** What a detail is called, by its path. */
export const labelOfDetail = (path: string): string =>
  LABELS.get(path) ?? path.charAt(0).toUpperCase() + path.slice(1);

/** The measurements behind a detail that asks for one of a series, oldest first; none for other details. */
export function seriesOf(record: CaseRecord, path: string, today: CalendarDate): Measurement[] {
  if (KINDS_OF.has(path) && !MEASURED_PATHS.has(path)) return [];
  const ask = readMeasuredAsk(path);
  return ask.codes.length === 1 ? seriesAsked(record, ask.codes[0]!, ask, today) : [];
}

/**
 * What is measured where a path asks for the last of it: that grows old. Null for others: the first, the highest or a mean is of its
 * time, and stays true.
 */
export function codeThatAges(path: string): string | null {
  if (KINDS_OF.has(path) && !MEASURED_PATHS.has(path)) return null;
  const { which, codes, within } = readMeasuredAsk(path);
  return which === 'last' && within === null && codes.length === 1 ? codes[0]! : null;
}

/** Details known of all records that are one of a series. */
const MEASURED_PATHS = new Set(['weight', 'temperature']);

/** Every detail the record can answer, in the order of `DETAILS`, then what else it holds. */
export function detailsOf(record: CaseRecord, today: CalendarDate): Detail[] {
  const known = DETAILS.map(({ path }) => lookUp(record, path, today));
  const others = record.details
    .filter(({ path }) => !LABELS.has(path))
    .map(({ path }) => stored(record, path));
  return [...known, ...others].filter((detail): detail is Detail => detail !== null);
}
