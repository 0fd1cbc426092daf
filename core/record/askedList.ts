import { dateInWords, type CalendarDate } from '#core/calendar';
import { dayOfItem, nameOfItem, newestFirst } from './itemParts';
import { HISTORY_LISTS, isHistoryList, type HistoryListId } from './history';
import type { CaseRecord, HistoryItem, Medicine, HealthProblem, RecordItem } from './record';
import { itemsOf } from './record';

/** Which items of a list are meant where it is asked for by its name. */
const STATES: Record<HistoryListId, readonly HistoryItem['status'][]> = {
  allergies: ['active'],
  immunisations: ['over'],
  observations: ['over', 'active'],
  reports: ['over', 'active'],
  procedures: ['over'],
  requests: ['active'],
  plans: ['active'],
  goals: ['active'],
  family: ['active'],
  stays: ['over'],
};

const WITH_DAYS = ' with days';

/** What a list is called in a path, whether or not its items are told with their days. */
const listIn = (path: string): string => (path.endsWith(WITH_DAYS) ? path.slice(0, -WITH_DAYS.length) : path);

/** A list that a path asks for, and whether each item is told with its day. */
export interface AskedList {
  /** By its name, without how its items are told. */
  list: string;
  items: readonly RecordItem[];
  withDays: boolean;
}

/** Of each thing seen the last one alone, in the order they come first. */
function lastOfEach(items: readonly HistoryItem[]): HistoryItem[] {
  const last = new Map<string, HistoryItem>();
  for (const item of items) {
    const other = last.get(item.label);
    if (!other || (item.since ?? '') >= (other.since ?? '')) last.set(item.label, item);
  }
  return [...last.values()];
}

function historyItems(record: CaseRecord, list: HistoryListId): HistoryItem[] {
  const items = (itemsOf(record, list) as HistoryItem[]).filter(({ status }) =>
    STATES[list].includes(status),
  );
  return list === 'observations' ? lastOfEach(items) : list === 'allergies' ? items : newestFirst(items);
}

/** Lists of a record that are told apart by their state, by the name they are asked for by. */
const OTHERS: Record<string, (record: CaseRecord) => readonly (Medicine | HealthProblem)[]> = {
  medicines: ({ medicines }) => medicines.filter(({ status }) => status === 'active'),
  'stopped medicines': ({ medicines }) => newestFirst(medicines.filter(({ status }) => status === 'ended')),
  problems: ({ problems }) => problems.filter(({ status }) => status === 'active'),
  'resolved problems': ({ problems }) => newestFirst(problems.filter(({ status }) => status === 'resolved')),
};

/** The items that a path asks for; null where it asks for no list. */
export function askedList(record: CaseRecord, path: string): AskedList | null {
  const name = listIn(path);
  const withDays = path.endsWith(WITH_DAYS);
  if (isHistoryList(name)) return { list: name, items: historyItems(record, name), withDays };
  const other = Object.hasOwn(OTHERS, name) ? OTHERS[name] : undefined;
  return other ? { list: name, items: other(record), withDays } : null;
}

/** What is said of an item besides what it is. */
const noteOf = (item: RecordItem): string | null =>
  'name' in item ? item.dose : 'note' in item ? item.note : null;

/** Whether an item goes on for a while, so that one day of it says little: what began is told as such, and what is over as a span. */
function isLasting(list: string, item: RecordItem): boolean {
  if ('name' in item || !('note' in item)) return !('measured' in item);
  return isHistoryList(list) && HISTORY_LISTS[list].happens === 'lasts';
}

/** The days of an item: "since 3 March 2026", "2 March 2026 to 5 March 2026", "2 March 2026"; null for none. */
function daysInWords(list: string, item: RecordItem, language: string): string | null {
  const inWords = (day: CalendarDate) => dateInWords(day, 'long', language);
  const [from, until] = [dayOfItem(item), 'until' in item ? (item.until ?? null) : null];
  if (!isLasting(list, item)) return from && inWords(from);
  const isOver = 'status' in item && ['ended', 'resolved', 'over'].includes(item.status);
  if (isOver && until) return from ? `${inWords(from)} to ${inWords(until)}` : `until ${inWords(until)}`;
  return from && `${isOver ? 'from' : 'since'} ${inWords(from)}`;
}

/** The same in a language in which the words between the days are not known: the days alone. */
function days(list: string, item: RecordItem, language: string): string | null {
  if (/^en\b/i.test(language)) return daysInWords(list, item, language);
  const all = [dayOfItem(item), 'until' in item ? item.until : null].flatMap((day) => day ?? []);
  return all.map((day) => dateInWords(day, 'long', language)).join(' – ') || null;
}

/** An item within a sentence: "amoxicillin 25 mg", "penicillin (hives)", "distemper (2 May 2026)". */
export function itemInSentence(
  item: RecordItem,
  { list, withDays }: Pick<AskedList, 'list' | 'withDays'>,
  language: string,
): string {
  const [note, day] = [noteOf(item), withDays ? days(list, item, language) : null];
  // A dose belongs to its medicine; anything else is said beside it.
  const name = 'name' in item && note ? `${item.name} ${note}` : nameOfItem(item);
  const beside = ['name' in item ? null : note, day].filter(Boolean);
  return beside.length > 0 ? `${name} (${beside.join(', ')})` : name;
}

/** An item as a row of a table: what it is, what is said of it, its day, where it comes from. */
export function itemInRow(item: RecordItem, { list }: Pick<AskedList, 'list'>, language: string): string[] {
  return [nameOfItem(item), noteOf(item) ?? '', days(list, item, language) ?? '', item.source];
}

const NONE_KNOWN: Record<string, string> = {
  en: 'no known allergies',
  cy: 'dim alergeddau hysbys',
};

/**
 * "No known allergies", only where the record says so itself: an empty list means that nobody asked. Null too in a language in which
 * it is not known how that is said.
 */
export function noneKnown(
  record: CaseRecord,
  path: string,
  language: string,
): { words: string; item: HistoryItem } | null {
  if (listIn(path) !== 'allergies') return null;
  const item = record.allergies?.find(({ status }) => status === 'none');
  const words = NONE_KNOWN[new Intl.Locale(language).language];
  return item && words ? { words, item } : null;
}
