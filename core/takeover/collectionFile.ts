import { z } from 'zod';
import { CollectionSettingsSchema } from '#core/bank';
import { EntryContentSchema } from '#core/entry';

const id = z.string().min(1).max(60);
const MOST_COLLECTIONS = 500;
/** A file may hold so many, and is taken over in one act. */
export const MOST_HANDED_ON = 20_000;

/** So many of them are sent at once at the most. */
export const MOST_IN_A_PIECE = 500;

/** A collection within a file: its id and its parent's mean something in that file alone. Around the first there is none. */
const CollectionInFileSchema = CollectionSettingsSchema.extend({ id, parent: id.nullable() });
/** The collections of a file, from the top down. */
export const CollectionsInFileSchema = z.array(CollectionInFileSchema).min(1).max(MOST_COLLECTIONS);

/** A collection handed on to another team, with those within it and all their entries: as much of them as a file may hold. */
export const CollectionFileSchema = z.object({
  format: z.literal('elderleaf-collection'),
  version: z.literal(1),
  /** From the top down: the collection itself first. */
  collections: CollectionsInFileSchema,
  entries: z.array(z.object({ id, collection: id, content: EntryContentSchema })).max(MOST_HANDED_ON),
  /** What goes along with its entries: by the SHA-256 that they name it by, in Base64 (RFC 4648). */
  files: z.array(z.object({ hash: z.string(), data: z.string() })).optional(),
});
export type CollectionFile = z.infer<typeof CollectionFileSchema>;
