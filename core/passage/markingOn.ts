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
  // The remark in its file that it answers: the number and generation of its object.
  answers: z.tuple([z.number().int().min(0), z.number().int().min(0).max(65_535)]).nullish(),
});
export type MarkingOn = z.infer<typeof MarkingOnSchema>;

/** How high the letters of each size are on a page of usual size, in points. */
const MARKING_POINTS: Record<MarkingOn['size'], number> = { small: 8, medium: 11, large: 15 };

/** From A5 to A3 a page is of usual size: the roots of their areas, in points. */
const USUAL = { least: 500, most: 1001 };

/**
 * So many times as large as usual everything is that is marked on a page: on a picture of 200 megapixels letters of a usual size would be specks,
 * on a stamp they would cover it. `width`, `height`: of the page, in points.
 */
export function markingUnit({ width, height }: { width: number; height: number }): number {
  const side = Math.sqrt(width * height);
  if (side < USUAL.least) return side / USUAL.least;
  return side > USUAL.most ? side / USUAL.most : 1;
}

/** How high the letters of a marking are, in points; `unit`: of its page. */
export const markingPoints = ({ size }: Pick<MarkingOn, 'size'>, unit: number): number =>
  MARKING_POINTS[size] * unit;

/** The order of markings: by their pages; on one page they stay as they are. */
export const compareMarkings = (a: Pick<MarkingOn, 'page'>, b: Pick<MarkingOn, 'page'>): number =>
  a.page - b.page;
