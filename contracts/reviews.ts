import { z } from 'zod';
import { EntrySchema } from '#core/bank';
import { storedDay } from './limits';

/** When an entry is to be looked through again, and by whom. */
export const ReviewSchema = z.object({
  entry: z.string(),
  title: z.string(),
  collection: z.string(),
  due: z.iso.date(),
  /** The member who looks through it. */
  keeper: z.string(),
  /** When it was last said to be right; null as long as nobody has. */
  lookedAt: z.iso.datetime().nullable(),
});
export type Review = z.infer<typeof ReviewSchema>;

/** Reviews of the entries that a member sees, those due first. */
export const ReviewsSchema = z.object({ reviews: z.array(ReviewSchema) });

/** The day and the keeper of some entries; `looked` where somebody has just seen that they are right. Null takes the day away. */
export const ReviewGivenSchema = z.object({
  entries: z.array(z.string().min(1).max(60)).min(1).max(500),
  review: z.object({ due: storedDay, keeper: z.string().min(1).max(60), looked: z.boolean() }).nullable(),
});
export type ReviewGiven = z.infer<typeof ReviewGivenSchema>;

const FactSchema = z.object({
  wording: z.string(),
  part: z.string(),
  line: z.number().int(),
  from: z.number().int(),
  to: z.number().int(),
  kind: z.enum(['price', 'hours', 'date', 'link', 'phone', 'e-mail', 'staff']),
  words: z.string(),
  fault: z
    .enum(['not-an-address', 'no-host', 'unknown-scheme', 'two-addresses', 'stray-end', 'space'])
    .nullable(),
});

/** Entries with what in them grows old, those without a day of review. */
export const AgeingSchema = z.object({
  entries: z.array(z.object({ entry: EntrySchema, facts: z.array(FactSchema) })),
  /** Entries there are; those that have a day already; those looked at. */
  count: z.number().int(),
  dated: z.number().int(),
  read: z.number().int(),
});
export type Ageing = z.infer<typeof AgeingSchema>;
