import type { CalendarDate } from '#core/calendar';
import type { Clock } from '#core/fill';
import type { Written } from '#core/record';

/** Today's calendar date where the member is: the browser's own zone, since a day is the writer's day. */
export function calendarToday(now: Date = new Date()): CalendarDate {
  const pad = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}

/** The day on which something is written here, and the language that days are written in. */
export const writtenToday = (): Written => ({
  today: calendarToday(),
  language: navigator.language || 'en-GB',
});

/** The day and the time of day where the member is. */
export function clockNow(now: Date = new Date()): Clock {
  const pad = (part: number) => String(part).padStart(2, '0');
  return { today: calendarToday(now), now: `${pad(now.getHours())}:${pad(now.getMinutes())}` };
}

/** An instant as the member's own date and time, short. */
export function instantInWords(instant: string): string {
  return new Date(instant).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}

/** The day of an instant, as the member writes dates. */
export const dayInWords = (instant: string): string =>
  new Date(instant).toLocaleDateString(undefined, { dateStyle: 'medium' });
