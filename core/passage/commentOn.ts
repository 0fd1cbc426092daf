import { z } from 'zod';
import { KeyIdSchema } from './keyId';
import { TextRangeSchema } from './textRange';

/** So many characters of what a comment is on are kept with it. */
export const MOST_COMMENTED = 400;

/** What makes a box of a draft a comment: the passage of a submission that it stands beside. */
export const CommentOnSchema = z.object({
  id: KeyIdSchema,
  on: TextRangeSchema,
  /** The words it is on, as they were when it was put there; of a long passage the first. */
  words: z.string().max(MOST_COMMENTED),
  /** What stood before them: so places of the same words are told apart. */
  before: z.string().max(80).default(''),
  /** Said before: the comment that says it in whole, the words that point back to it, and in which language. */
  again: z
    .object({ of: KeyIdSchema, words: z.string().max(200), language: z.string().min(2).max(35) })
    .nullish(),
  /** What it counts as, towards which criterion (by its name, '' for none): first as its entry says, then as the writer decides. */
  counts: z.object({ criterion: z.string().max(80), as: z.enum(['praise', 'fault']).nullable() }).nullish(),
  /** Whether it was made at a second look, on comments that a colleague had written before. */
  secondLook: z.literal(true).optional(),
});
export type CommentOn = z.infer<typeof CommentOnSchema>;
