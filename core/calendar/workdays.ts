import { addDays } from './addTo';
import { daysBetween, type CalendarDate } from './calendarDate';

/** The day of the week, 1 for Monday to 7 for Sunday (ISO 8601). Throws a RangeError when it is no date. */
export function weekdayOf(date: CalendarDate): number {
  // 1970-01-05 was a Monday.
  return (((daysBetween('1970-01-05', date) % 7) + 7) % 7) + 1;
}

const isWorkday = (date: CalendarDate) => weekdayOf(date) < 6;

/**
 * The date so many working days (Monday to Friday) after another, before it when negative, as WORKDAY of
 * OpenFormula counts: the start itself is not counted. Whole weeks are stepped over at once, so that a large
 * count is as quick as a small one.
 */
export function addWorkdays(date: CalendarDate, count: number): CalendarDate {
  const step = count < 0 ? -1 : 1;
  const weeks = Math.trunc(count / 5);
  let left = Math.abs(count % 5);
  let day = addDays(date, weeks * 7);
  // Begun on a weekend, whole weeks end on one: back to the working day that was counted last.
  if (weeks !== 0 && left === 0) while (!isWorkday(day)) day = addDays(day, -step);
  while (left > 0) {
    day = addDays(day, step);
    if (isWorkday(day)) left -= 1;
  }
  return day;
}

/** Working days from one date to another, both counted, as NETWORKDAYS of OpenFormula; negative when backwards. */
export function workdaysBetween(from: CalendarDate, to: CalendarDate): number {
  if (to < from) return -workdaysBetween(to, from);
  const days = daysBetween(from, to) + 1;
  const first = weekdayOf(from);
  let count = Math.floor(days / 7) * 5;
  for (let day = 0; day < days % 7; day += 1) if ((first - 1 + day) % 7 < 5) count += 1;
  return count;
}
