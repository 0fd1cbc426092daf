import { z } from 'zod';
import { KeyIdSchema } from './keyId';

/** A place on a page, in points (1/72 inch) from its left and its upper edge as it is shown without turning it. */
export const PagePointSchema = z.object({
  x: z.number().min(-20_000).max(20_000),
  y: z.number().min(-20_000).max(20_000),
});
export type PagePoint = z.infer<typeof PagePointSchema>;

/** How large the words of a marking are, and in which of the house's colours. */
export const MARKING_SIZES = ['small', 'medium', 'large'] as const;
export const MARKING_COLOURS = ['ink', 'elder', 'leaf', 'rust'] as const;
/** How a marking leads to a second point. */
const MARKING_LEADS = ['arrow', 'bracket'] as const;

/** What makes a box of a draft a marking: where it stands on which page, and how it looks. */
export const MarkingOnSchema = z.object({
  id: KeyIdSchema,
  // Counted from 0.
  page: z.number().int().min(0).max(100_000),
  // Where its words begin: the left end of their first line's upper edge.
  at: PagePointSchema,
  size: z.enum(MARKING_SIZES).default('medium'),
  colour: z.enum(MARKING_COLOURS).default('ink'),
  framed: z.boolean().default(false),
  // A second point to which it leads, and how.
  lead: z.object({ to: PagePointSchema, as: z.enum(MARKING_LEADS) }).nullish(),
});
export type MarkingOn = z.infer<typeof MarkingOnSchema>;

/** How high the letters of each size are, in points. */
export const MARKING_POINTS: Record<MarkingOn['size'], number> = { small: 8, medium: 11, large: 15 };

/** The order of markings: by their pages; on one page they stay as they are. */
export const compareMarkings = (a: Pick<MarkingOn, 'page'>, b: Pick<MarkingOn, 'page'>): number =>
  a.page - b.page;
