import { converted } from '#core/units';
import { FormulaFault } from './formulaError';
import { numberOf, sound, textOf, type FormulaValue } from './formulaValue';
import type { FunctionCall } from './functions';

/**
 * CONVERT of OpenFormula (number; from; to); with two arguments it converts an amount from its own unit, as a
 * weight of a record has one, and gives a bare number. A number without a unit is taken to be in the wanted one.
 */
export function convert({ args, at, around }: FunctionCall): FormulaValue {
  const [amount, first, second] = args;
  const { value } = amount!;
  const [own, isDifference] = value.kind === 'number' ? [value.unit, value.difference] : [];
  const to = textOf((second ?? first)!, around.language);
  const from = second ? textOf(first!, around.language) : own || to;
  const made = converted(numberOf(amount!), from, to, isDifference);
  if (made === null) throw new FormulaFault({ code: 'not-found', ...(second ?? first)!.at });
  return sound(made, at);
}
