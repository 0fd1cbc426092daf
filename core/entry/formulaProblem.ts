import { checkCalls, namesIn, readFormula, type FormulaError } from '#core/formula';
import { formulaOf } from './calculation';
import type { ComputedField, Field } from './field';

/**
 * What is wrong with how a field is worked out, as far as can be told without answers: signs that do not fit, functions
 * and fields that do not exist. The place is in the formula it stands for; null when it may be kept.
 */
export function formulaProblem(
  { calculation }: ComputedField,
  fields: readonly Field[],
): FormulaError | null {
  const read = readFormula(formulaOf(calculation, (id) => fields.find((one) => one.id === id)?.name ?? id));
  if (!read.ok) return read.error;
  const called = checkCalls(read.value);
  if (called) return called;
  const known = new Set(fields.flatMap(({ id, name }) => [id, name.toLocaleLowerCase()]));
  const unknown = namesIn(read.value).find(
    ({ name }) => !known.has(name) && !known.has(name.toLocaleLowerCase()),
  );
  return unknown ? { code: 'unknown-name', ...unknown } : null;
}
