import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';

/** What a piece of work is judged by. */
export const CriterionSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().trim().min(1, 'give the criterion a name').max(80),
  /** How well it can be met, the best first, each in words; points where they count. */
  levels: z
    .array(
      z.object({
        id: z.string().min(1).max(60),
        name: z.string().trim().min(1, 'give the level a name').max(80),
        words: z.string().trim().max(2000),
        points: z.number().min(0).max(1000).nullable(),
      }),
    )
    .max(12),
});
export type Criterion = z.infer<typeof CriterionSchema>;

/** Somebody who hands work in. */
export const PersonOfClassSchema = z.object({
  name: z.string().trim().min(1, 'give the name').max(200),
  number: z.string().trim().max(60),
});
export type PersonOfClass = z.infer<typeof PersonOfClassSchema>;

const words = z.number().int().min(1).max(1_000_000).nullable();

/** What is asked of a class in one piece of work. */
export const AssignmentWorkSchema = z.object({
  title: z.string().trim().min(1, 'give the assignment a title').max(200),
  due: CalendarDateSchema.nullable(),
  /** How many words it may have at the least and at the most. */
  limits: z
    .object({ least: words, most: words })
    .refine(
      ({ least, most }) => least === null || most === null || least <= most,
      'the least is more than the most',
    ),
  criteria: z
    .array(CriterionSchema)
    .max(30)
    .refine(
      (all) => new Set(all.map(({ name }) => name.toLowerCase())).size === all.length,
      'each criterion can be named once',
    ),
  people: z.array(PersonOfClassSchema).max(2000),
});
export type AssignmentWork = z.infer<typeof AssignmentWorkSchema>;
