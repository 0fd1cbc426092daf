import { z } from 'zod';

/** Details of a case that a page of others may show, and that can be taught where. */
export const CARD_PATHS = [
  'name',
  'number',
  'born',
  'language',
  'customer',
  'email',
  'topic',
  'place',
  'date',
] as const;
export type CardPath = (typeof CARD_PATHS)[number];

/** A host, as `board.example`; with its port where it is not the usual one. */
const HostSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(253)
  .regex(/^[a-z0-9-]+(\.[a-z0-9-]+)*(:\d{1,5})?$/, 'a page is named as in board.example');

/** Where details of a case stand on the pages of a host, as an owner showed it once: each by a CSS selector. */
export const PageCardSchema = z.object({
  host: HostSchema,
  places: z
    .array(z.object({ path: z.enum(CARD_PATHS), at: z.string().min(1).max(600) }))
    .min(1)
    .max(CARD_PATHS.length)
    .refine((all) => new Set(all.map(({ path }) => path)).size === all.length, 'each detail has one place'),
});
export type PageCard = z.infer<typeof PageCardSchema>;

/** The team teaches so many pages at most. */
export const MOST_PAGE_CARDS = 100;
