import { dateInWords, type CalendarDate } from '#core/calendar';
import { HISTORY_LISTS, isHistoryList, stateInWords } from './history';
import type { HistoryItem, Measurement, Medicine, HealthProblem, RecordItem, WrittenItem } from './record';
import { valueInWords } from './value';

type Day = (date: CalendarDate | null | undefined) => string | null;
type Parts = readonly (string | null | undefined | false)[];

const ofMeasurement = ({ label, value, unit, measured }: Measurement, day: Day, locale: string): Parts => [
  `${label} ${valueInWords({ kind: 'quantity', value, unit }, locale)}`,
  day(measured),
];
const ofMedicine = ({ name, dose, status, since, until }: Medicine, day: Day): Parts => [
  name,
  dose,
  status === 'planned' && 'planned',
  since && `since ${day(since)}`,
  until ? `until ${day(until)}` : status === 'ended' && 'stopped',
];
const ofProblem = ({ label, status, since }: HealthProblem, day: Day): Parts => [
  label,
  since && `since ${day(since)}`,
  status === 'resolved' && 'resolved',
];

/** States that go without saying: what is told of something that happened is that it did. */
const UNSAID = new Set<HistoryItem['status']>(['active', 'over', 'none']);

/** The days of an item: what goes on is told by its beginning, "since 3 March 2026". */
function daysOf(
  list: string,
  { status, since, until }: Pick<HistoryItem, 'status' | 'since' | 'until'>,
  day: Day,
) {
  if (!since) return null;
  const isLasting = isHistoryList(list) && HISTORY_LISTS[list].happens === 'lasts';
  if (isLasting && status === 'active') return `since ${day(since)}${until ? `, until ${day(until)}` : ''}`;
  return until && until !== since ? `${day(since)} to ${day(until)}` : day(since);
}

const ofHistory = (list: string, { label, note, status, since, until }: HistoryItem, day: Day): Parts => [
  note ? `${label}: ${note}` : label,
  isHistoryList(list) && !UNSAID.has(status) && stateInWords(list, status),
  daysOf(list, { status, since, until }, day),
];

function partsOf(list: string, item: RecordItem, locale: string): Parts {
  const day: Day = (date) => (date ? dateInWords(date, 'long', locale) : null);
  if ('measured' in item) return ofMeasurement(item, day, locale);
  if ('name' in item) return ofMedicine(item, day);
  return 'note' in item ? ofHistory(list, item, day) : ofProblem(item, day);
}

/** An item of a list of a record in one line, as it is told of: "Weight 512 g, 19 November 2026". */
export const itemInWords = (list: WrittenItem['list'], item: RecordItem, locale: string): string =>
  partsOf(list, item, locale).filter(Boolean).join(', ');
