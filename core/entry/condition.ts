import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';
import { KeyIdSchema } from '#core/passage';

const field = KeyIdSchema;

/**
 * When an optional passage stands. Made by picking, never written as code; what needs an expression asks a
 * computed field that gives yes or no. A test of a field without an answer does not hold, but for `unanswered`.
 */
export type Condition =
  | { test: 'all' | 'any'; of: Condition[] }
  // An option's id, `~none`, `yes`, `no`, a person; or words, where the field takes words.
  | { test: 'is' | 'is-not'; field: string; value: string }
  | { test: 'answered'; field: string }
  | { test: 'unanswered'; field: string }
  // Over and under a number; after and before a day.
  | { test: Measure; field: string; value: number | string };

/** Comparisons with a number or a day. */
export const MEASURES = ['over', 'at-least', 'under', 'at-most'] as const;
/** How a value is held against another. */
export type Measure = (typeof MEASURES)[number];

/** Conditions within conditions go this deep at the most. */
const DEEPEST = 5;

const SimpleConditionSchema = z.discriminatedUnion('test', [
  z.object({ test: z.enum(['is', 'is-not']), field, value: z.string().max(200) }),
  z.object({ test: z.literal('answered'), field }),
  z.object({ test: z.literal('unanswered'), field }),
  z.object({ test: z.enum(MEASURES), field, value: z.union([z.number(), CalendarDateSchema]) }),
]);

function nestedSchema(depth: number): z.ZodType<Condition> {
  if (depth === 0) return SimpleConditionSchema;
  const inner = nestedSchema(depth - 1);
  return z.union([
    SimpleConditionSchema,
    z.object({ test: z.enum(['all', 'any']), of: z.array(inner).min(1).max(20) }),
  ]);
}

/** A condition: tests of answers, joined by all or any. */
export const ConditionSchema = nestedSchema(DEEPEST);

/** A condition under the id by which the wording's optional passages name it. */
export const NamedConditionSchema = z.object({ id: field, when: ConditionSchema });
export type NamedCondition = z.infer<typeof NamedConditionSchema>;

/** The ids of all fields a condition asks. */
export function fieldsOfCondition(condition: Condition): string[] {
  return 'of' in condition ? condition.of.flatMap(fieldsOfCondition) : [condition.field];
}
