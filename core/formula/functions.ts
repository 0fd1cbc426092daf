import type { CalendarDate } from '#core/calendar';
import type { Span } from './formulaError';
import type { FormulaValue, Placed } from './formulaValue';

/** What a function may know beside its arguments. */
export interface Surroundings {
  today: CalendarDate;
  language: string;
}

/** One call: its arguments with their places, the place of the function's name, and its surroundings. */
export interface Call {
  args: readonly Placed[];
  at: Span;
  around: Surroundings;
}

/** A function of OpenFormula: how many arguments it takes, and what it makes of them. */
export interface FormulaFunction {
  least: number;
  most: number;
  run: (call: Call) => FormulaValue;
}

export const takes = (least: number, most: number, run: FormulaFunction['run']): FormulaFunction => ({
  least,
  most,
  run,
});
