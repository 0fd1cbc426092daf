import { dateInWords, isMonthFirst, readDate, type CalendarDate, type DateForm } from '#core/calendar';

/** A date offered for what is typed last in a line. */
export interface DateOffer {
  text: string;
  /** Where in the line the shorthand begins. */
  from: number;
  form: DateForm;
}

const FORMS: DateForm[] = ['long', 'short', 'iso'];
const ENGLISH_MONTHS =
  'january february march april may june july august september october november december'.split(' ');

/** A day and a month's first letters (4m, 12sep), with a year or without (4mar57), or so many days, weeks, months from today (+3, -2w). */
const SHORTHAND = /(?:^|[\s(])((\d{1,2})([a-z]{1,9})(\d{4}|\d{2})?|[+-]\d{1,3}[dwm]?)$/i;

/** The same with the month first (mar4, mar4,57), where a language writes it so: three letters, so that no dose is a date. */
const MONTH_FIRST = /(?:^|[\s(])(([a-z]{3,9})(\d{1,2})(?:,(\d{4}|\d{2}))?)$/i;

/** The dates a shorthand may mean: each month that begins so, when more than one does. */
function meant(
  typed: string,
  day: string | undefined,
  letters: string | undefined,
  year: string | undefined,
  today: CalendarDate,
  language: string,
) {
  const date = readDate(typed, today, language);
  if (date) return [date];
  if (!day || !letters) return [];
  return ENGLISH_MONTHS.filter((month) => month.startsWith(letters.toLowerCase())).flatMap(
    (month) => readDate([day, month, year].filter(Boolean).join(' '), today, language) ?? [],
  );
}

/**
 * The date that the shorthand before the caret means: in words, with slashes, with hyphens. Where it may be one of
 * several months, each in words.
 */
export function dateOffers(line: string, today: CalendarDate, language: string): DateOffer[] {
  const turned = isMonthFirst(language) ? MONTH_FIRST.exec(line) : null;
  const match = turned ?? SHORTHAND.exec(line);
  if (!match) return [];
  const [, typed, first, second, year] = match;
  const [day, letters] = turned ? [second, first] : [first, second];
  const from = line.length - typed!.length;
  const dates = meant(typed!, day, letters, year, today, language);
  const forms = dates.length > 1 ? FORMS.slice(0, 1) : FORMS;
  return dates.flatMap((date) =>
    forms.map((form) => ({ text: dateInWords(date, form, language), from, form })),
  );
}
