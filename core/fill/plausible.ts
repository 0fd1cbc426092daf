import { daysBetween, type CalendarDate } from '#core/calendar';
import type { Field } from '#core/entry';

/** Why a day is doubtful for what it is the day of. */
export type DayDoubt = 'date-future' | 'date-past' | 'date-far';

const YEAR = 365.25;
const of = (words: string) => new RegExp(`(?<!\\p{L})(?:${words})`, 'iu');

/** What days are of, by the words of their field; and how many days before and after today they can well be. */
const KINDS: readonly { said: RegExp; before: number; after: number }[] = [
  { said: of('birth|born|dob|d\\.o\\.b|hatch'), before: 120 * YEAR, after: 0 },
  {
    said: of('appointment|next|due|review|follow.?up|return|expir|deadline|collect|until|reopen|visit'),
    before: 60,
    after: 5 * YEAR,
  },
  {
    said: of(
      'admi(?:ssion|tted)|arriv|found|seen|taken|record|interview|received|sent|written|weighed|measured|since',
    ),
    before: 120 * YEAR,
    after: 1,
  },
];
const ANY = { before: 150 * YEAR, after: 50 * YEAR };

/** What is doubtful about a day given to a field; null for nothing. By what the field is of: a birth, an appointment, a finding. */
export function dayDoubt({ name, question }: Field, day: CalendarDate, today: CalendarDate): DayDoubt | null {
  const kind = KINDS.find(({ said }) => said.test(`${name} ${question}`));
  const ahead = daysBetween(today, day);
  if (kind && ahead > kind.after && kind.after <= 1) return 'date-future';
  if (kind && -ahead > kind.before && kind.before <= 60) return 'date-past';
  const { before, after } = kind ?? ANY;
  return -ahead > before || ahead > after ? 'date-far' : null;
}
