import type { CalendarDate } from '#core/calendar';
import { figures } from '#core/record';
import { FormulaFault, type ValueKind, type FormulaSpan } from './formulaError';

/** A number; with its unit where it is a measured amount. */
export interface Amount {
  kind: 'number';
  value: number;
  unit?: string;
  /** A difference of two amounts: half a degree warmer is no temperature. */
  difference?: true;
  /** Multiplied or divided by hand: whether its unit still holds nobody but its author can say. */
  scaled?: true;
}

/** A typed value: what a field gives to a formula, and what a formula gives. */
export type FormulaValue =
  | Amount
  | { kind: 'text'; text: string }
  | { kind: 'date'; date: CalendarDate }
  | { kind: 'yes-no'; yes: boolean }
  | { kind: 'list'; items: readonly string[] }
  | { kind: 'empty' };

/** A value with the place of the expression it came from, to be named in an error. */
export interface PlacedValue {
  value: FormulaValue;
  at: FormulaSpan;
}

/** A number as a value of a formula. */
export const number = (value: number): FormulaValue => ({ kind: 'number', value });
/** A text as a value of a formula. */
export const text = (words: string): FormulaValue => ({ kind: 'text', text: words });
/** A day as a value of a formula. */
export const date = (day: CalendarDate): FormulaValue => ({ kind: 'date', date: day });
/** True or false as a value of a formula. */
export const yesNo = (yes: boolean): FormulaValue => ({ kind: 'yes-no', yes });

/** Words a formula makes may be this long, in characters. */
export const LONGEST_TEXT = 20_000;

/** Throws the fault that this is not of the kind wanted, at its place. */
export function wrongKind({ value, at }: PlacedValue, wanted: ValueKind): never {
  throw new FormulaFault({ code: 'wrong-kind', wanted, found: value.kind, from: at.from, to: at.to });
}

/** A value as a number; an empty one counts as 0. Words are never taken for a number: a fault. */
export function numberOf(placed: PlacedValue): number {
  const { value } = placed;
  if (value.kind === 'number') return value.value;
  return value.kind === 'empty' ? 0 : wrongKind(placed, 'number');
}

/** A value as a date; nothing else is one: a fault. */
export function dateOf(placed: PlacedValue): CalendarDate {
  return placed.value.kind === 'date' ? placed.value.date : wrongKind(placed, 'date');
}

/** A value as yes or no; nothing else is one: a fault. */
export function yesOf(placed: PlacedValue): boolean {
  return placed.value.kind === 'yes-no' ? placed.value.yes : wrongKind(placed, 'yes-no');
}

/** Any value in words, numbers as the language writes them and dates as YYYY-MM-DD. */
export function textOf({ value, at }: PlacedValue, language: string): string {
  const words = inWords(value, language);
  if (words.length > LONGEST_TEXT) throw new FormulaFault({ code: 'too-long', ...at });
  return words;
}

function inWords(value: FormulaValue, language: string): string {
  switch (value.kind) {
    case 'number':
      return figures(value.value, language);
    case 'text':
      return value.text;
    case 'date':
      return value.date;
    case 'yes-no':
      return value.yes ? 'yes' : 'no';
    case 'list':
      return value.items.join(', ');
    case 'empty':
      return '';
  }
}

/**
 * A number made by arithmetic, its last binary digits mended (0.1 + 0.2 is 0.3), of the unit of what it was made `like`; a fault
 * when it is none.
 */
export function sound(value: number, at: FormulaSpan, like?: Omit<Amount, 'kind' | 'value'>): FormulaValue {
  if (!Number.isFinite(value)) throw new FormulaFault({ code: 'no-such-number', from: at.from, to: at.to });
  const mended = number(Number.isInteger(value) ? value : Number(value.toPrecision(15)));
  if (like?.unit === undefined) return mended;
  const { unit, difference, scaled } = like;
  return { ...mended, unit, ...(difference && { difference }), ...(scaled && { scaled }) } as FormulaValue;
}
