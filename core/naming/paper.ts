import type { CalendarDate } from '#core/calendar';

/** What is known of a file before it has its name: nothing but what stands in it and beside it. */
export interface Paper {
  /** Its old name. */
  name: string;
  /** Its words, or as many of its first as were read; '' where it has none that can be read. */
  text: string;
  /** What its properties say: a title, a subject, who made it; '' for nothing. */
  title: string;
  /** Who a mail is from, as it says. */
  from: string;
  /** The day that its properties or its head name: when a mail was written, a picture taken. */
  dated: CalendarDate | null;
  /** What that day is, in words: "Sent". */
  datedAs: string;
  /** When the file was last changed. */
  changed: CalendarDate;
}
