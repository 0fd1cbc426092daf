import type { CalendarDate } from '#core/calendar';
import type { RecordItem } from './record';

/** What an item of a record is called. */
export const nameOfItem = (item: RecordItem): string => ('name' in item ? item.name : item.label);

/** Whether two names are the same, as people write them: capitals and spaces around do not matter. */
export const isSameName = (a: string, b: string): boolean =>
  a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whether an item goes by a name: what it is called, or by what wordings ask for it. */
export const goesBy = (item: RecordItem, name: string): boolean =>
  isSameName(nameOfItem(item), name) || ('code' in item && isSameName(item.code, name));

/** The day of an item: of a measurement when it was made, of anything else since when it is so; null where that is not known. */
export const dayOfItem = (item: RecordItem): CalendarDate | null =>
  'measured' in item ? item.measured : item.since;

/** What came last first; what is of no day at the end. The order of the others stays. */
export const newestFirst = <Item extends RecordItem>(items: readonly Item[]): Item[] =>
  [...items].sort((a, b) => (dayOfItem(b) ?? '').localeCompare(dayOfItem(a) ?? ''));

/** The latest of the days of some items; null where none has one. */
export const latestDayOf = (items: readonly RecordItem[]): CalendarDate | null =>
  items.reduce<CalendarDate | null>((latest, item) => {
    const day = dayOfItem(item);
    return day !== null && (latest === null || day > latest) ? day : latest;
  }, null);
