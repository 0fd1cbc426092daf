import { addDays, addMonths, dateInWords, daysBetween, type CalendarDate } from '#core/calendar';
import type { CaseRecord, RecurringCare } from './record';

/** Care that comes round again, with the day it is due next. */
export interface CareDue {
  label: string;
  done: CalendarDate | null;
  due: CalendarDate;
  state: 'overdue' | 'due' | 'later';
  source: string;
  isImmunisation: boolean;
  /** Its day is said, and not counted from the last time. */
  isForecast: boolean;
}

/** Care is called due from this many days before its day. */
const DUE_AHEAD_DAYS = 3;

function dueDayOf({ every, dueOn, done, from }: RecurringCare): CalendarDate | null {
  if (dueOn !== undefined) return dueOn;
  if (done === null || !every) return from;
  if (every.step === 'days') return addDays(done, every.count);
  if (every.step === 'weeks') return addDays(done, every.count * 7);
  return addMonths(done, every.count * (every.step === 'years' ? 12 : 1));
}

/**
 * When each recurring care of a record is due next, the most pressing first: its last day and its interval (or, never
 * done, the day it was to begin) against today. Care without either day is left out.
 */
export function careDue({ care = [] }: CaseRecord, today: CalendarDate): CareDue[] {
  const known = care.flatMap((one): CareDue[] => {
    const due = dueDayOf(one);
    if (due === null) return [];
    const days = daysBetween(today, due);
    const state = days < 0 ? 'overdue' : days <= DUE_AHEAD_DAYS ? 'due' : 'later';
    const { label, done, source, isImmunisation = false } = one;
    return [{ label, done, due, state, source, isImmunisation, isForecast: one.dueOn !== undefined }];
  });
  return known.sort((a, b) => a.due.localeCompare(b.due) || a.label.localeCompare(b.label));
}

/**
 * One due care as a phrase: "faecal screening: overdue since 3 March 2026, last done 3 February 2026". In a language other
 * than English it is the care and its day, since the words between are not known there.
 */
export function careInWords({ label, done, due, state, isForecast }: CareDue, language: string): string {
  const day = dateInWords(due, 'long', language);
  if (!/^en\b/i.test(language)) return `${label}: ${day}`;
  const when = state === 'overdue' ? `overdue since ${day}` : `due ${day}`;
  if (done) return `${label}: ${when}, last done ${dateInWords(done, 'long', language)}`;
  // Of what a forecast calls due nobody says that it was never done.
  return isForecast ? `${label}: ${when}` : `${label}: ${when}, never done`;
}
