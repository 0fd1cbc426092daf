import { z } from 'zod';
import { CUE_MAKING, CueRulesSchema, DEFAULT_CUE_MAKING } from '#core/cue';
import { LanguageTagSchema } from '#core/language';
import { RightSchema } from '#core/rights';

/** What the keepers of a collection set. */
export const CollectionSettingsSchema = z.object({
  name: z.string().trim().min(1, 'a collection needs a name').max(80),
  leadIn: z.string().max(4).regex(/^\S*$/u, 'a lead-in has no spaces'),
  cueRules: CueRulesSchema,
  // The rule by which cues are proposed, so that they can be worked out; files of earlier versions do not say.
  cuesBy: z.enum(CUE_MAKING).default(DEFAULT_CUE_MAKING),
  // Kinds of work it is in reach for; none for all.
  kindsOfWork: z.array(z.string().max(40)).max(20),
  language: LanguageTagSchema,
  // How titles are built here, in words for whoever writes one; not settled when left out or empty.
  titles: z.string().trim().max(120).optional(),
});
export type CollectionSettings = z.infer<typeof CollectionSettingsSchema>;

/** A collection as one member sees it: its settings, where it stands in the tree, and what the member may do in it. */
export const CollectionSchema = CollectionSettingsSchema.extend({
  id: z.string(),
  /** The collection it is in, as far as the member may see it; null for none. */
  parent: z.string().nullable(),
  /** Its place among those beside it, from 0. */
  position: z.number().int(),
  own: z.boolean(),
  right: RightSchema,
  /** Counts the changes of its settings. */
  version: z.number().int().min(1),
  /** Counts the changes of its entries. */
  changes: z.number().int().min(0),
});
export type Collection = z.infer<typeof CollectionSchema>;
