import { z } from 'zod';
import { CollectionSettingsSchema } from '#core/bank';
import { GranteeSchema, RightSchema } from '#core/rights';

const place = z.string().max(60).nullable();

/** Settings that are saved, with a word of why. */
export const SavedCollectionSchema = CollectionSettingsSchema.extend({
  reason: z.string().trim().max(300).default(''),
});

/** What a collection's settings were at a version. */
export const CollectionRevisionSchema = z.object({
  version: z.number().int().min(1),
  settings: CollectionSettingsSchema,
  savedAt: z.iso.datetime(),
  savedBy: z.string(),
  reason: z.string(),
});
export type CollectionRevision = z.infer<typeof CollectionRevisionSchema>;

/** A collection that is made: its settings, and the collection it goes into. */
export const NewCollectionSchema = CollectionSettingsSchema.extend({ parent: place });

/** Where a collection goes: within another or at the top, before one that is there, or last. */
export const MoveSchema = z.object({ parent: place, before: place });

/** Someone, and the right a collection grants them; `none` takes away what is passed down. */
export const GrantedToSchema = z.object({
  to: GranteeSchema,
  right: z.enum(['none', ...RightSchema.options]),
});
/** To whom a collection grants what. */
export type GrantedTo = z.infer<typeof GrantedToSchema>;

/** All that a collection grants: what is not named is taken away. */
export const SharedWithSchema = z.object({ grants: z.array(GrantedToSchema).max(1000) });

/** Who may do what in a collection, and what the collections around it pass down. */
export const SharingSchema = SharedWithSchema.extend({
  version: z.number().int().min(1),
  passedDown: z.array(GrantedToSchema.extend({ from: z.string().nullable() })),
});
export type Sharing = z.infer<typeof SharingSchema>;

/** A group of members, to whom things are shared together. */
export const GroupSchema = z.object({ id: z.string(), name: z.string(), members: z.array(z.string()) });
export type Group = z.infer<typeof GroupSchema>;

/** Everyone there is, and the groups they are in. */
export const TeamSchema = z.object({
  members: z.array(z.object({ id: z.string(), name: z.string(), job: z.string(), left: z.boolean() })),
  groups: z.array(GroupSchema),
});
export type Team = z.infer<typeof TeamSchema>;
