import { z } from 'zod';

/** A time of day on a clock, `HH:MM`, of no zone and no date. */
export type TimeOfDay = string;

/** A time of day, `HH:MM`, of 24 hours. */
export const TimeOfDaySchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time as HH:MM');

/**
 * A time as people type one, or null when it is none: 9, 9:30, 9.30, 0930, 930, 9h30, 2pm, 2.15 pm, now.
 * `now` is the time where the writer is.
 */
export function readTime(typed: string, now: TimeOfDay): TimeOfDay | null {
  const text = typed.trim().toLowerCase();
  if (text === 'now') return now;
  const match =
    /^(\d{1,2})(?:\s?[:.h]\s?(\d{2}))?\s?(am|pm)?$/.exec(text) ?? /^(\d{1,2})(\d{2})\s?(am|pm)?$/.exec(text);
  if (!match) return null;
  const half = match[3];
  const hour = Number(match[1]);
  if (half && (hour < 1 || hour > 12)) return null;
  const onClock = half ? (hour % 12) + (half === 'pm' ? 12 : 0) : hour;
  const time = `${String(onClock).padStart(2, '0')}:${match[2] ?? '00'}`;
  return TimeOfDaySchema.safeParse(time).success ? time : null;
}

/** A time as it is read: on a clock of twenty-four hours (14:05) or of twelve (2.05 pm). */
export function timeInWords(time: TimeOfDay, form: '24' | '12'): string {
  if (form === '24') return time;
  const hour = Number(time.slice(0, 2));
  const minute = time.slice(3);
  const shown = hour % 12 === 0 ? 12 : hour % 12;
  return `${shown}${minute === '00' ? '' : `.${minute}`} ${hour < 12 ? 'am' : 'pm'}`;
}
