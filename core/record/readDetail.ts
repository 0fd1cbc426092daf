import { dateInWords, readDate, type CalendarDate } from '#core/calendar';
import { DETAILS } from './details';
import type { Value } from './value';

/** The day on which something is written, and the language that days are written in (BCP 47). */
export interface Written {
  today: CalendarDate;
  language: string;
}

const KIND_OF = new Map<string, string>(DETAILS.map(({ path, kind }) => [path, kind]));

/** Whether a detail is a day. */
export const isDay = (path: string): boolean => KIND_OF.get(path) === 'date';

/** A detail as a person writes it, a day in shorthand as well; null for nothing, and where no day can be read. */
export function readDetail(path: string, words: string, { today, language }: Written): Value | null {
  const text = words.trim();
  if (text === '') return null;
  if (!isDay(path)) return { kind: 'text', text };
  const date = readDate(text, today, language);
  return date ? { kind: 'date', date } : null;
}

/** How a day typed in shorthand is read: "4 March 2026" for "4mar"; null where there is nothing to read back. */
export function readBack(path: string, words: string, written: Written): string | null {
  const value = readDetail(path, words, written);
  return value?.kind === 'date' ? dateInWords(value.date, 'long', written.language) : null;
}
