import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { CollectionsInFileSchema, MOST_HANDED_ON } from '#core/takeover';
import { storedRevision } from './limits';
import { StepSchema } from './steps';

const id = z.string().min(1).max(60);
/** What of a file is taken over, and where to. */
export const TakeOverSchema = z.object({
  /** The collection that all of it goes into; null where the file's own are made. */
  into: id.nullable(),
  collections: CollectionsInFileSchema,
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

/** What taking a file over came to, and the steps that take it back. */
export const TakenOverFileSchema = z.object({
  /** Where it is now: the collection that it went into, or the one that was made. */
  collection: z.string(),
  made: z.number().int(),
  changed: z.number().int(),
  /** What takes all of it back. */
  undo: z.array(StepSchema),
});
