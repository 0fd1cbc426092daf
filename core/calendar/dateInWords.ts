import { ownWordsOf, type OwnWords } from '#core/language';
import type { CalendarDate } from './calendarDate';

/** The ways a date can be written in a blank. */
export const DATE_FORMS = [
  'long',
  'weekday',
  'day-month',
  'month-year',
  'short',
  'dots',
  'hyphens',
  'iso',
  'underscores',
  'month',
  'year',
] as const;
/** A form in which a date can be written. */
export type DateForm = (typeof DATE_FORMS)[number];

/** The forms that a language writes in its own way; the others are the same everywhere. */
type Worded = 'long' | 'weekday' | 'day-month' | 'month-year' | 'month' | 'short';

const OPTIONS: Record<Worded, Intl.DateTimeFormatOptions> = {
  long: { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' },
  weekday: { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' },
  'day-month': { day: 'numeric', month: 'long', timeZone: 'UTC' },
  'month-year': { month: 'long', year: 'numeric', timeZone: 'UTC' },
  month: { month: 'long', timeZone: 'UTC' },
  short: { day: '2-digit', month: '2-digit', year: 'numeric', timeZone: 'UTC' },
};

// Making an Intl formatter costs a thousand times what using it does, so each is made once; and using it
// costs more than all else in filling a letter, so the dates just written are kept with it.
interface Formatter {
  format: Intl.DateTimeFormat;
  written: Map<string, string>;
}
const formatters: Record<Worded, Map<string, Formatter>> = {
  long: new Map(),
  weekday: new Map(),
  'day-month': new Map(),
  'month-year': new Map(),
  month: new Map(),
  short: new Map(),
};
const MOST_KEPT = 1000;

function formatter(language: string, form: Worded): Formatter {
  let found = formatters[form].get(language);
  if (!found) {
    found = { format: new Intl.DateTimeFormat(language, OPTIONS[form]), written: new Map<string, string>() };
    formatters[form].set(language, found);
  }
  return found;
}

/** A date in words of a language that browsers lack. */
function inOwnWords(date: CalendarDate, form: Worded, own: OwnWords): string {
  const [year = '', month = '', day = ''] = date.split('-');
  const monthName = own.months[Number(month) - 1] ?? '';
  const dayAndMonth = `${Number(day)} ${monthName}`;
  switch (form) {
    case 'long':
      return `${dayAndMonth} ${year}`;
    case 'weekday': {
      const weekday = own.weekdays[new Date(`${date}T00:00:00Z`).getUTCDay()] ?? '';
      return `${weekday}${own.weekdayJoin}${dayAndMonth} ${year}`;
    }
    case 'day-month':
      return dayAndMonth;
    case 'month-year':
      return `${monthName} ${year}`;
    case 'month':
      return monthName;
    case 'short':
      return `${day}/${month}/${year}`;
  }
}

/**
 * A calendar date in the form asked for: long "4 March 2026", weekday "Wednesday, 4 March 2026", day-month
 * "4 March", month-year "March 2026", short "04/03/2026", dots "04.03.2026", hyphens "04-03-2026", iso "2026-03-04",
 * underscores "2026_03_04", month "March", year "2026"; `language` is a BCP 47 tag and decides the words and their order.
 */
export function dateInWords(date: CalendarDate, form: DateForm, language: string): string {
  if (form === 'iso') return date;
  if (form === 'year') return date.slice(0, 4);
  if (form === 'underscores') return date.replaceAll('-', '_');
  if (form === 'dots') return date.split('-').reverse().join('.');
  if (form === 'hyphens') return date.split('-').reverse().join('-');
  const own = ownWordsOf(language);
  if (own) return inOwnWords(date, form, own);
  const { format, written } = formatter(language, form);
  const kept = written.get(date);
  if (kept !== undefined) return kept;
  const words = format.format(new Date(`${date}T00:00:00Z`));
  if (written.size >= MOST_KEPT) written.clear();
  written.set(date, words);
  return words;
}
