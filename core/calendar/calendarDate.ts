import { z } from 'zod';
import { timeUnit, type TimeUnit } from '#core/language';

/** A day of the Gregorian calendar, `YYYY-MM-DD`. Never an instant, so no time zone can move it. */
export type CalendarDate = string;

const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/;
const DAY_MS = 86_400_000;

/** Milliseconds of the date's midnight in UTC, or null when the text is not a date that exists. */
function utcMidnight(text: string): number | null {
  const match = SHAPE.exec(text);
  if (!match) return null;
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const time = Date.UTC(year, month - 1, day);
  const date = new Date(time);
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day ? time : null;
}

/** True when `text` is a date that exists: `2026-02-29` is not one. */
export function isCalendarDate(text: string): text is CalendarDate {
  return utcMidnight(text) !== null;
}

/** A day of the calendar, `YYYY-MM-DD`, that exists. */
export const CalendarDateSchema = z.string().refine(isCalendarDate, 'must be a date as YYYY-MM-DD');

/**
 * Whole days from one date to another; negative when `to` is the earlier.
 * Throws a RangeError when either is not a date.
 */
export function daysBetween(from: CalendarDate, to: CalendarDate): number {
  const [start, end] = [utcMidnight(from), utcMidnight(to)];
  if (start === null || end === null) throw new RangeError(`not calendar dates: ${from}, ${to}`);
  return Math.round((end - start) / DAY_MS);
}

const counted = (count: number, unit: TimeUnit, language = 'en-GB') =>
  `${count} ${timeUnit(count, unit, language)}`;

/** How long before `today` a date was, in plain words: "today", "3 days ago", "in 2 days". */
export function agoInWords(date: CalendarDate, today: CalendarDate): string {
  const days = daysBetween(date, today);
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 0) return `in ${counted(-days, 'day')}`;
  if (days < 60) return `${counted(days, 'day')} ago`;
  if (days < 730) return `${counted(Math.floor(days / 30.44), 'month')} ago`;
  return `${counted(Math.floor(days / 365.25), 'year')} ago`;
}

/** Completed calendar months from `from` to `to`; a month ends on the same day of the month or the last. */
export function monthsBetween(from: CalendarDate, to: CalendarDate): number {
  const months = (Number(to.slice(0, 4)) - Number(from.slice(0, 4))) * 12;
  const whole = months + Number(to.slice(5, 7)) - Number(from.slice(5, 7));
  const lastDay = new Date(Date.UTC(Number(to.slice(0, 4)), Number(to.slice(5, 7)), 0)).getUTCDate();
  const due = Math.min(Number(from.slice(8)), lastDay);
  return Number(to.slice(8)) < due ? whole - 1 : whole;
}

/**
 * An age as a clinician says it: days up to two weeks, weeks up to four months, months up to two years,
 * then years; in the language given (BCP 47). Null when the birth lies after `today`.
 */
export function ageInWords(born: CalendarDate, today: CalendarDate, language: string): string | null {
  const days = daysBetween(born, today);
  if (days < 0) return null;
  if (days < 14) return counted(days, 'day', language);
  const months = monthsBetween(born, today);
  if (months < 4) return counted(Math.floor(days / 7), 'week', language);
  return months < 24
    ? counted(months, 'month', language)
    : counted(Math.floor(months / 12), 'year', language);
}
