import { dateInWords, type CalendarDate } from '#core/calendar';

/** What is said of how a medicine or a problem runs: its state, and the days known of it. */
export interface Course {
  status: 'active' | 'ended' | 'planned' | 'resolved';
  since: CalendarDate | null;
  until?: CalendarDate | null;
}

/**
 * How a medicine or a problem runs, so that no date can be taken for another: "since 16 November", "stopped 19 November, from
 * 16 November", "planned from 28 November", "resolved, from 3 October 2025". A year is said where it is not this one. Empty
 * where it runs and no day is known.
 */
export function courseInWords({ status, since, until }: Course, today: CalendarDate, locale: string): string {
  const day = (date: CalendarDate) =>
    dateInWords(date, date.slice(0, 4) === today.slice(0, 4) ? 'day-month' : 'long', locale);
  switch (status) {
    case 'active':
      return since ? `since ${day(since)}` : '';
    case 'planned':
      return since ? `planned from ${day(since)}` : 'planned';
    case 'ended':
    case 'resolved': {
      const over = status === 'ended' ? 'stopped' : 'resolved';
      return (until ? `${over} ${day(until)}` : over) + (since ? `, from ${day(since)}` : '');
    }
  }
}
