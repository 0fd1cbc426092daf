import { ownWordsOf } from '#core/language';
import { addDays, addMonths } from './addTo';
import { daysBetween, isCalendarDate, type CalendarDate } from './calendarDate';

const ENGLISH = 'january february march april may june july august september october november december'.split(
  ' ',
);
const RELATIVE = { today: 0, yesterday: -1, tomorrow: 1 } as const;

const monthNames = new Map<string, string[]>();

/** The months of a language, in lower case without accents, January first. */
export function monthsOf(language: string): string[] {
  let names = monthNames.get(language);
  if (!names) {
    const format = new Intl.DateTimeFormat(language, { month: 'long', timeZone: 'UTC' });
    const own = ownWordsOf(language)?.months;
    names = (own ?? ENGLISH.map((_, month) => format.format(new Date(Date.UTC(2026, month, 1))))).map(plain);
    monthNames.set(language, names);
  }
  return names;
}

const plain = (text: string) => text.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');

/** The month that begins with the letters typed, 1 to 12; null when none or more than one does. */
function monthBy(letters: string, language: string): number | null {
  for (const names of [ENGLISH, monthsOf(language)]) {
    const found = names.flatMap((name, index) => (name.startsWith(letters) ? [index + 1] : []));
    if (found.length === 1) return found[0]!;
  }
  return null;
}

const orders = new Map<string, boolean>();

/** Whether a language writes the month before the day, as American English does. */
export function isMonthFirst(language: string): boolean {
  let is = orders.get(language);
  if (is === undefined) {
    const parts = new Intl.DateTimeFormat(language).formatToParts(new Date(0)).map(({ type }) => type);
    is = parts.indexOf('month') < parts.indexOf('day') && parts.indexOf('day') < parts.indexOf('year');
    orders.set(language, is);
  }
  return is;
}

const made = (year: number, month: number, day: number): CalendarDate | null => {
  const pad = (value: number, width: number) => String(value).padStart(width, '0');
  const date = `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
  return isCalendarDate(date) ? date : null;
};

/** A year typed with two digits: at most ten years ahead, else in the century before. */
export function fullYear(year: string, today: CalendarDate): number {
  if (year.length > 2) return Number(year);
  const now = Number(today.slice(0, 4));
  const full = Math.floor(now / 100) * 100 + Number(year);
  return full > now + 10 ? full - 100 : full;
}

/** The day of that name nearest to today: in December "4 jan" is next month's, not last January's. */
function nearest(month: number, day: number, today: CalendarDate): CalendarDate | null {
  const year = Number(today.slice(0, 4));
  const dates = [year - 1, year, year + 1].flatMap((one) => made(one, month, day) ?? []);
  const away = (date: CalendarDate) => Math.abs(daysBetween(date, today));
  return dates.sort((a, b) => away(a) - away(b))[0] ?? null;
}

function fromToday(text: string, today: CalendarDate): CalendarDate | null {
  const named = Object.entries(RELATIVE).find(([name]) => text.length >= 3 && name.startsWith(text));
  if (named) return addDays(today, named[1]);
  const match = /^([+-])\s?(\d{1,4})\s?([dwmy]?)$/.exec(text);
  if (!match) return null;
  const count = Number(match[1] + match[2]!);
  switch (match[3]) {
    case 'w':
      return addDays(today, count * 7);
    case 'm':
      return addMonths(today, count);
    case 'y':
      return addMonths(today, count * 12);
    default:
      return addDays(today, count);
  }
}

/**
 * A date as people type one, or null when it is none: 4 mar, 4 march 2026, 4/3, 4.3.26, 2026-03-04, 20260304,
 * a day of this month (14), today, yesterday, tomorrow, or from today by days, weeks, months or years (+3,
 * -2w, +1m). Day before month, and month before day in figures where the language writes them so (4/3, 4/3/26), or
 * where a word tells (march 4, mar4); months by their first letters, in English or the language given; without a year the
 * nearest such day.
 */
export function readDate(typed: string, today: CalendarDate, language: string): CalendarDate | null {
  const text = plain(typed.trim());
  const relative = fromToday(text, today);
  if (relative) return relative;
  const iso = /^(\d{4})[-/._ ]?(\d{2})[-/._ ]?(\d{2})$/.exec(text);
  if (iso) return made(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const numbers = /^(\d{1,2})(?:[-/._ ](\d{1,2})(?:[-/._ ](\d{2}|\d{4}))?)?$/.exec(text);
  const words =
    /^(\d{1,2})(?:st|nd|rd|th|\.)?[\s-]*(?:de\s+)?(\p{L}+)\.?(?:[\s,-]*(?:de\s+)?(\d{2}|\d{4}))?$/u.exec(
      text,
    );
  const turned = /^(\p{L}+)\.?[\s-]*(\d{1,2})(?:st|nd|rd|th)?(?:[\s,-]+(\d{2}|\d{4}))?$/u.exec(text);
  const match = numbers ?? words ?? turned;
  if (!match) return null;
  const [, first, second, year] = match;
  if (second === undefined) return made(Number(today.slice(0, 4)), Number(today.slice(5, 7)), Number(first));
  // With dots the day is first everywhere.
  const isTurned = match === turned || (match === numbers && /[-/]/.test(text) && isMonthFirst(language));
  const [dayTyped, monthTyped] = isTurned ? [second, first!] : [first!, second];
  const month = numbers ? Number(monthTyped) : monthBy(monthTyped, language);
  if (month === null) return null;
  const day = Number(dayTyped);
  return year === undefined ? nearest(month, day, today) : made(fullYear(year, today), month, day);
}
