import type { CalendarDate } from '#core/calendar';

/** Today's calendar date where the member is: the browser's own zone, since a day is the writer's day. */
export function calendarToday(now: Date = new Date()): CalendarDate {
  const pad = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`;
}

/** An instant as the member's own date and time, short. */
export function instantInWords(instant: string): string {
  return new Date(instant).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}
