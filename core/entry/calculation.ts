import { z } from 'zod';
import { LONGEST_FORMULA } from '#core/formula';
import { KeyIdSchema } from '#core/passage';

const field = KeyIdSchema;

/** A day a calculation starts from: a field's answer, or today. */
const DaySchema = z.union([z.object({ field }), z.literal('today')]);
export type DayRef = z.infer<typeof DaySchema>;

/** A number a calculation uses: a field's answer, or the number itself. */
const AmountSchema = z.union([z.object({ field }), z.number()]);
export type AmountRef = z.infer<typeof AmountSchema>;

/** By what a date can be moved. */
export const STEPS = ['days', 'workdays', 'weeks', 'months', 'years'] as const;

/** How a computed field is worked out: picked from what people usually need, or written as a formula. */
export const CalculationSchema = z.discriminatedUnion('by', [
  z.object({ by: z.literal('formula'), formula: z.string().max(LONGEST_FORMULA) }),
  // So many days, weeks ... after a day; before it when negative.
  z.object({ by: z.literal('moved'), from: DaySchema, count: AmountSchema, step: z.enum(STEPS) }),
  z.object({ by: z.literal('between'), from: DaySchema, to: DaySchema, step: z.enum(STEPS) }),
  z.object({ by: z.literal('age'), born: DaySchema, at: DaySchema }),
  z.object({
    by: z.literal('change'),
    first: AmountSchema,
    last: AmountSchema,
    as: z.enum(['amount', 'percent']),
  }),
  // So much for each kilogram, rounded to a multiple of `step` and held under `most`.
  z.object({
    by: z.literal('dose'),
    weight: AmountSchema,
    perKilogram: AmountSchema,
    step: z.number().positive().nullable(),
    most: z.number().positive().nullable(),
  }),
]);
export type Calculation = z.infer<typeof CalculationSchema>;

/** How a formula writes a field's name: as it is where that is one word, else in single quotes. */
export function nameInFormula(name: string): string {
  return /^[\p{L}_][\p{L}\p{M}\p{N}_]*$/u.test(name) ? name : `'${name.replaceAll("'", "''")}'`;
}

/** A picked calculation as the formula it stands for; `nameOf` tells the name of a field from its id. */
export function formulaOf(calculation: Calculation, nameOf: (id: string) => string): string {
  const named = (ref: DayRef | AmountRef): string => {
    if (typeof ref === 'number') return String(ref);
    return ref === 'today' ? 'TODAY()' : nameInFormula(nameOf(ref.field));
  };
  switch (calculation.by) {
    case 'formula':
      return calculation.formula;
    case 'moved':
      return movedFormula(named(calculation.from), named(calculation.count), calculation.step);
    case 'between':
      return betweenFormula(named(calculation.from), named(calculation.to), calculation.step);
    case 'age':
      return `AGE(${named(calculation.born)}; ${named(calculation.at)})`;
    case 'change': {
      const [first, last] = [named(calculation.first), named(calculation.last)];
      return calculation.as === 'amount' ? `${last} - ${first}` : `(${last} - ${first}) / ${first} * 100`;
    }
    case 'dose': {
      const { step, most } = calculation;
      const exact = `CONVERT(${named(calculation.weight)}; "kg") * N(${named(calculation.perKilogram)})`;
      const capped = most === null ? exact : `MIN(${exact}; ${most})`;
      return step === null ? capped : `MROUND(${capped}; ${step})`;
    }
  }
}

type Step = (typeof STEPS)[number];

function movedFormula(from: string, count: string, step: Step): string {
  switch (step) {
    case 'days':
      return `${from} + ${count}`;
    case 'weeks':
      return `${from} + 7 * ${count}`;
    case 'workdays':
      return `WORKDAY(${from}; ${count})`;
    case 'months':
      return `EDATE(${from}; ${count})`;
    case 'years':
      return `EDATE(${from}; 12 * ${count})`;
  }
}

function betweenFormula(from: string, to: string, step: Step): string {
  switch (step) {
    case 'days':
      return `DAYS(${to}; ${from})`;
    case 'weeks':
      return `INT(DAYS(${to}; ${from}) / 7)`;
    case 'workdays':
      return `NETWORKDAYS(${from}; ${to})`;
    case 'months':
      return `DATEDIF(${from}; ${to}; "m")`;
    case 'years':
      return `DATEDIF(${from}; ${to}; "y")`;
  }
}
