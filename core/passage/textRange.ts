import { z } from 'zod';

/** A place in a text of blocks: the block, counted from 0, and how many UTF-16 units of its words stand before. */
export const TextPointSchema = z.object({
  block: z.number().int().min(0).max(1_000_000),
  at: z.number().int().min(0).max(10_000_000),
});
export type TextPoint = z.infer<typeof TextPointSchema>;

/** Less than 0 where one place of a text stands before another, 0 for the same, more than 0 behind it. */
export const comparePoints = (a: TextPoint, b: TextPoint): number => a.block - b.block || a.at - b.at;

/** A stretch of a text of blocks; `to` is never before `from`. */
export const TextRangeSchema = z
  .object({ from: TextPointSchema, to: TextPointSchema })
  .refine(({ from, to }) => comparePoints(from, to) <= 0, 'a stretch ends where it begins, or behind that');
export type TextRange = z.infer<typeof TextRangeSchema>;

/** The order of stretches: by where they begin, then by where they end. */
export const compareRanges = (a: TextRange, b: TextRange): number =>
  comparePoints(a.from, b.from) || comparePoints(a.to, b.to);
