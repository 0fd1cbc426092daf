import type { CalendarDate } from './calendarDate';

/** The ways a date can be written in a blank. */
export const DATE_FORMS = ['long', 'short', 'iso', 'year'] as const;
export type DateForm = (typeof DATE_FORMS)[number];

const OPTIONS: Record<'long' | 'short', Intl.DateTimeFormatOptions> = {
  long: { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' },
  short: { day: '2-digit', month: '2-digit', year: 'numeric', timeZone: 'UTC' },
};

// Making an Intl formatter costs a thousand times what using it does, so each is made once.
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatter(language: string, form: 'long' | 'short'): Intl.DateTimeFormat {
  const key = `${language} ${form}`;
  let found = formatters.get(key);
  if (!found) formatters.set(key, (found = new Intl.DateTimeFormat(language, OPTIONS[form])));
  return found;
}

/**
 * A calendar date in the form asked for: long "4 March 2026", short "04/03/2026", iso "2026-03-04",
 * year "2026"; `language` is a BCP 47 tag and decides the words and their order.
 */
export function dateInWords(date: CalendarDate, form: DateForm, language: string): string {
  if (form === 'iso') return date;
  if (form === 'year') return date.slice(0, 4);
  return formatter(language, form).format(new Date(`${date}T00:00:00Z`));
}
