import { z } from 'zod';
import { isMonthFirst, readDate, type CalendarDate } from '#core/calendar';
import { KeyIdSchema } from '#core/passage';

/** What the cells of a column are read as. */
export const COLUMN_KINDS = ['text', 'number', 'date'] as const;
export type ColumnKind = (typeof COLUMN_KINDS)[number];

/** A column of a batch's table: how its cells are read, and what they fill. */
export const ColumnSchema = z.object({
  id: KeyIdSchema,
  head: z.string().trim().min(1).max(140),
  kind: z.enum(COLUMN_KINDS),
  // Of dates in figures: the month stands before the day.
  monthFirst: z.boolean(),
  // Of numbers: the decimals stand behind a comma.
  decimalComma: z.boolean(),
  // The detail, or the field by its name, that its cells answer; null where it is for rules alone.
  fills: z.string().trim().min(1).max(120).nullable(),
});
export type Column = z.infer<typeof ColumnSchema>;

/** So many rows are looked at to tell what a column holds. */
const LOOKED_AT = 1000;
/** So much of a column reads as one kind where it is of that kind: tables have slips in them. */
const MOSTLY = 0.9;

/** A day with its year, in figures or with the month in words: what is shorter is more likely something else. */
const DATED =
  /^(?:\d{4}[-/.]\d{1,2}[-/.]\d{1,2}|\d{1,2}[-/. ]\d{1,2}[-/. ](?:\d{4}|\d{2})|\d{1,2}(?:st|nd|rd|th|\.)?[\s-]*\p{L}{3,}\.?[\s,-]*\d{2,4}|\p{L}{3,}\.?\s*\d{1,2}(?:st|nd|rd|th)?,?\s+\d{4})(?:[T ]\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?Z?)?$/u;
const IN_FIGURES = /^(\d{1,2})[-/. ](\d{1,2})[-/. ](?:\d{4}|\d{2})$/;

/** A cell of a column of days as a day; null for none. A time beside it is left out. */
export function dayInCell(
  cell: string,
  column: Pick<Column, 'monthFirst'>,
  today: CalendarDate,
): CalendarDate | null {
  const day = cell.trim().replace(/[T ]\d{1,2}:\d{2}(?::\d{2}(?:\.\d+)?)?Z?$/, '');
  if (!DATED.test(day)) return null;
  const figures = /^(\d{1,2})[-/. ](\d{1,2})[-/. ](\d{4}|\d{2})$/.exec(day);
  if (!figures)
    return readDate(
      day.replace(/^(\d{4})[-/.](\d)(?=[-/.])/, '$1-0$2').replace(/^(\d{4}[-/.]\d{2}[-/.])(\d)$/, '$10$2'),
      today,
      'en-GB',
    );
  const [, first, second, year] = figures;
  const [date, month] = column.monthFirst ? [second, first] : [first, second];
  return readDate(`${date}.${month}.${year}`, today, 'en-GB');
}

const SPACES = /[\s\u00A0\u202F'’]/g;

/** A cell of a column of numbers as a number; null for none. */
export function numberInCell(cell: string, { decimalComma }: Pick<Column, 'decimalComma'>): number | null {
  const text = cell.replace(SPACES, '').replace(/^[−–]/, '-');
  const grouped = decimalComma
    ? /^[-+]?\d{1,3}(?:\.\d{3})+(?:,\d+)?$/
    : /^[-+]?\d{1,3}(?:,\d{3})+(?:\.\d+)?$/;
  const plain = decimalComma ? /^[-+]?\d+(?:,\d+)?$/ : /^[-+]?\d+(?:\.\d+)?$/;
  if (!grouped.test(text) && !plain.test(text)) return null;
  const value = Number(decimalComma ? text.replaceAll('.', '').replace(',', '.') : text.replaceAll(',', ''));
  return Number.isFinite(value) && Math.abs(value) <= Number.MAX_SAFE_INTEGER ? value : null;
}

/** What is written with figures and is no amount: a telephone number, a post code, a number with noughts before it. */
const isCode = (cell: string) => /^[+(]|^0\d/.test(cell.trim()) || cell.replace(/\D/g, '').length > 15;

const share = (cells: readonly string[], holds: (cell: string) => boolean) =>
  cells.length === 0 ? 0 : cells.filter(holds).length / cells.length;

/** In which order days of a column stand in figures: what only one order can read tells, else the language's own. */
function monthComesFirst(cells: readonly string[], language: string): boolean {
  const pairs = cells.flatMap((cell) => {
    const figures = IN_FIGURES.exec(cell.trim());
    return figures && !cell.includes('.') ? [[Number(figures[1]), Number(figures[2])] as const] : [];
  });
  const [asDays, asMonths] = [pairs.some(([first]) => first > 12), pairs.some(([, second]) => second > 12)];
  if (pairs.length === 0 || asDays) return false;
  return asMonths || isMonthFirst(language);
}

/** Where the decimals of a column stand: "1.234,5" and "0,75" have a comma before them, "1,234.5" has not. */
function hasDecimalComma(cells: readonly string[]): boolean {
  const bare = cells.map((cell) => cell.replace(SPACES, ''));
  if (bare.some((cell) => /\.\d+$/.test(cell) && !/^[-+]?\d{1,3}(\.\d{3})+$/.test(cell))) return false;
  if (bare.some((cell) => /,\d+$/.test(cell) && !/^[-+]?\d{1,3}(,\d{3})+$/.test(cell))) return true;
  return bare.some((cell) => /^[-+]?\d{1,3}(\.\d{3}){2,}$/.test(cell));
}

/** What the cells of a column hold, and how they are read. `language`: of who brings them (BCP 47). */
export function readingOf(
  all: readonly string[],
  today: CalendarDate,
  language: string,
): Pick<Column, 'kind' | 'monthFirst' | 'decimalComma'> {
  const cells = all.filter((cell) => cell.trim() !== '').slice(0, LOOKED_AT);
  const monthFirst = monthComesFirst(cells, language);
  const decimalComma = hasDecimalComma(cells);
  if (share(cells, (cell) => dayInCell(cell, { monthFirst }, today) !== null) >= MOSTLY)
    return { kind: 'date', monthFirst, decimalComma: false };
  const isAmount = (cell: string) => !isCode(cell) && numberInCell(cell, { decimalComma }) !== null;
  if (share(cells, isAmount) >= MOSTLY && !cells.some(isCode))
    return { kind: 'number', monthFirst: false, decimalComma };
  return { kind: 'text', monthFirst: false, decimalComma: false };
}

/** What heads of columns are called in tables that people keep, in the languages the house answers in, and the detail each is: without hyphens. */
const CALLED: Readonly<Record<string, string>> = {
  email: 'email',
  mail: 'email',
  'email address': 'email',
  emailadresse: 'email',
  ebost: 'email',
  name: 'customer',
  'full name': 'customer',
  applicant: 'customer',
  person: 'customer',
  enw: 'customer',
  language: 'language',
  sprache: 'language',
  iaith: 'language',
  topic: 'topic',
  subject: 'topic',
  betreff: 'topic',
  pwnc: 'topic',
  species: 'species',
  place: 'place',
  ort: 'place',
  born: 'born',
  'date of birth': 'born',
};

/**
 * The detail or field that a column most likely fills, by its head; null for none.
 * @param fields the names of fields that entries ask for
 */
function proposedFill(head: string, fields: readonly string[]): string | null {
  const name = head.trim().toLocaleLowerCase();
  const field = fields.find((one) => one.toLocaleLowerCase() === name);
  return CALLED[name.replaceAll('-', '')] ?? field ?? null;
}

/** The columns of a table, each as it reads and with what it most likely fills; no two fill the same. */
export function columnsOf(
  { heads, rows }: { heads: readonly string[]; rows: readonly (readonly string[])[] },
  { fields, today, language }: { fields: readonly string[]; today: CalendarDate; language: string },
): Column[] {
  const filled = new Set<string>();
  return heads.map((head, at) => {
    const proposed = proposedFill(head, fields);
    // What nothing else asks for is known by its own name: a wording may come to ask for it.
    const fills = proposed !== null && !filled.has(proposed) ? proposed : null;
    if (fills !== null) filled.add(fills);
    const cells = rows.map((row) => row[at] ?? '');
    return { id: `c${at + 1}`, head, ...readingOf(cells, today, language), fills };
  });
}
