import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { CollectionSettingsSchema } from './collections';
import { storedRevision } from './limits';
import { StepSchema } from './steps';

const id = z.string().min(1).max(60);
const MOST_COLLECTIONS = 500;
/** A file may hold so many, and is taken over in one act. */
export const MOST_HANDED_ON = 5000;

/** A collection within a file: its id and its parent's mean something in that file alone. Around the first there is none. */
const CollectionInFileSchema = CollectionSettingsSchema.extend({ id, parent: id.nullable() });
const collections = z.array(CollectionInFileSchema).min(1).max(MOST_COLLECTIONS);

/** A collection handed on to another team, with those within it and all their entries: as much of them as a file may hold. */
export const CollectionFileSchema = z.object({
  format: z.literal('elderleaf-collection'),
  version: z.literal(1),
  /** From the top down: the collection itself first. */
  collections,
  entries: z.array(z.object({ id, collection: id, content: EntryContentSchema })).max(MOST_HANDED_ON),
});
export type CollectionFile = z.infer<typeof CollectionFileSchema>;

/** What of a file is taken over, and where to. */
export const TakeOverSchema = z.object({
  /** The collection that all of it goes into; null where the file's own are made. */
  into: id.nullable(),
  collections,
  entries: z
    .array(
      z.object({
        id,
        collection: id,
        content: EntryContentSchema,
        /** The entry that it becomes the next revision of. */
        replaces: z.object({ entry: id, revision: storedRevision }).nullable(),
      }),
    )
    .max(MOST_HANDED_ON),
  /** What entries of the file that are not taken over are called here, for those that have them within. */
  known: z.record(id, id),
});
export type TakeOver = z.infer<typeof TakeOverSchema>;

export const TakenOverFileSchema = z.object({
  /** Where it is now: the collection that it went into, or the one that was made. */
  collection: z.string(),
  made: z.number().int(),
  changed: z.number().int(),
  /** What takes all of it back. */
  undo: z.array(StepSchema),
});
