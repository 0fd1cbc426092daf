import { isCalendarDate, type CalendarDate } from './calendarDate';

const DAY_MS = 86_400_000;
const iso = (time: number): CalendarDate => new Date(time).toISOString().slice(0, 10);

/** Midnight in UTC of a date, which is only a way of counting days: no zone comes into it. */
function midnight(date: CalendarDate): number {
  if (!isCalendarDate(date)) throw new RangeError(`not a calendar date: ${String(date)}`);
  return Date.parse(`${date}T00:00:00Z`);
}

/** The date so many days later; earlier when `days` is negative. Throws a RangeError when it is no date. */
export function addDays(date: CalendarDate, days: number): CalendarDate {
  return iso(midnight(date) + days * DAY_MS);
}

/**
 * The date so many calendar months later, on the same day of the month or the month's last, as EDATE of
 * OpenFormula does. Throws a RangeError when `date` is no date.
 */
export function addMonths(date: CalendarDate, months: number): CalendarDate {
  const start = new Date(midnight(date));
  const [year, month] = [start.getUTCFullYear(), start.getUTCMonth() + months];
  const lastDay = new Date(Date.UTC(year, month + 1, 0)).getUTCDate();
  return iso(Date.UTC(year, month, Math.min(start.getUTCDate(), lastDay)));
}
