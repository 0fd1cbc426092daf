import { isCalendarDate, type CalendarDate } from './calendarDate';
import type { DateForm } from './dateInWords';

/** A date written somewhere in a text: where it stands (UTF-16 offsets), which day, in which form. */
export interface WrittenDate {
  from: number;
  to: number;
  date: CalendarDate;
  form: DateForm;
}

const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
);
const MONTH = MONTHS.map((name) => `${name}|${name.slice(0, 3)}`).join('|') + '|sept';
const WEEKDAY = '(?:mon|tues|wednes|thurs|fri|satur|sun)day';
const DAY = '(\\d{1,2})(?:st|nd|rd|th)?';
const pad = (text: string) => text.padStart(2, '0');

function monthNumber(word: string): string {
  return pad(String(MONTHS.findIndex((name) => name.startsWith(word.slice(0, 3).toLowerCase())) + 1));
}

const SHAPES: { pattern: RegExp; form: DateForm; read: (m: RegExpMatchArray) => string }[] = [
  { pattern: /\b(\d{4})-(\d{2})-(\d{2})\b/g, form: 'iso', read: (m) => m[0] },
  {
    pattern: /(?<!\d)(\d{4})_(\d{2})_(\d{2})(?!\d)/g,
    form: 'underscores',
    read: (m) => m[0].replaceAll('_', '-'),
  },
  {
    pattern: /\b(\d{1,2})\.(\d{1,2})\.(\d{4})\b/g,
    form: 'dots',
    read: (m) => `${m[3]}-${pad(m[2]!)}-${pad(m[1]!)}`,
  },
  {
    pattern: /\b(\d{1,2})[/-](\d{1,2})[/-](\d{4})\b/g,
    form: 'short',
    read: (m) => `${m[3]}-${pad(m[2]!)}-${pad(m[1]!)}`,
  },
  {
    pattern: new RegExp(`\\b${WEEKDAY},?\\s+${DAY},?\\s+(${MONTH}),?\\s+(\\d{4})\\b`, 'gi'),
    form: 'weekday',
    read: (m) => `${m[3]}-${monthNumber(m[2]!)}-${pad(m[1]!)}`,
  },
  {
    pattern: new RegExp(`(?<!${WEEKDAY},?\\s)\\b${DAY}(?:\\s+of)?\\s+(${MONTH}),?\\s+(\\d{4})\\b`, 'gi'),
    form: 'long',
    read: (m) => `${m[3]}-${monthNumber(m[2]!)}-${pad(m[1]!)}`,
  },
  {
    pattern: new RegExp(`\\b(${MONTH})\\s+${DAY},?\\s+(\\d{4})\\b`, 'gi'),
    form: 'long',
    read: (m) => `${m[3]}-${monthNumber(m[1]!)}-${pad(m[2]!)}`,
  },
];

/**
 * Every date written in `text`, in order: ISO (2026-03-04, 2026_03_04), day first with / . or -, and day and month in
 * English words, either first, with the weekday or without, year. A day that does not exist is passed over.
 */
export function findDates(text: string): WrittenDate[] {
  const found = SHAPES.flatMap(({ pattern, form, read }) =>
    [...text.matchAll(pattern)].map((m) => ({
      from: m.index,
      to: m.index + m[0].length,
      date: read(m),
      form,
    })),
  );
  return found.filter((written) => isCalendarDate(written.date)).sort((a, b) => a.from - b.from);
}
