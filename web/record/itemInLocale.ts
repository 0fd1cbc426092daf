import { dateInWords, type CalendarDate } from '#core/calendar';
import { itemInWords, type RecordItem, type RecordList } from '#core/record';

const locale = navigator.language;

/** A date of a record as the interface tells dates; null for none. */
export const recordDayInWords = (date: CalendarDate | null) =>
  date ? dateInWords(date, 'long', locale) : null;

/** An item of a list in one line, as the interface tells of it. */
export const itemInLocale = (list: RecordList, item: RecordItem): string => itemInWords(list, item, locale);
