import type { CalendarDate } from '#core/calendar';

/** A moment: as an instant (ISO 8601, UTC), and as a record tells moments, by its day and the minute of that day (0 to 1439). */
export interface Since {
  at: string;
  day: CalendarDate;
  minute: number;
}
