import type { CalendarDate } from '#core/calendar';
import type { FormulaSpan } from './formulaError';
import type { FormulaValue, PlacedValue } from './formulaValue';

/** What a function may know beside its arguments. */
export interface Surroundings {
  today: CalendarDate;
  language: string;
}

/** One call: its arguments with their places, the place of the function's name, and its surroundings. */
export interface FunctionCall {
  args: readonly PlacedValue[];
  at: FormulaSpan;
  around: Surroundings;
}

/** A function of OpenFormula: how many arguments it takes, and what it makes of them. */
export interface FormulaFunction {
  least: number;
  most: number;
  run: (call: FunctionCall) => FormulaValue;
}

/** A function of at least so many arguments and at most so many. */
export const takes = (least: number, most: number, run: FormulaFunction['run']): FormulaFunction => ({
  least,
  most,
  run,
});
