import { z } from 'zod';
import { EntrySchema } from '#core/bank';
import { storedRevision } from './limits';
import { NewEntrySchema } from './bank';
import { AllowingSchema } from './order';
import { NewProposalSchema } from './proposals';
import { ChangedEntriesSchema, DeletedEntriesSchema, MovedSchema } from './wastebasket';

const id = z.string().min(1).max(60);
const reason = z.string().trim().max(300).default('');

/** One step of an act on entries. Contents may have an entry within them that an earlier step makes: by its name there. */
export const StepSchema = z.discriminatedUnion('do', [
  ChangedEntriesSchema.extend({ do: z.literal('change') }),
  /** Back to what entries were at earlier revisions, as long as nobody has saved them since. */
  z.object({
    do: z.literal('revert'),
    entries: z
      .array(z.object({ entry: id, revision: storedRevision, to: storedRevision }))
      .min(1)
      .max(5000),
    reason,
  }),
  MovedSchema.extend({ do: z.literal('move') }),
  DeletedEntriesSchema.extend({ do: z.literal('delete') }),
  z.object({ do: z.literal('restore'), deletion: id }),
  NewEntrySchema.pick({ collection: true, content: true, reason: true }).extend({
    do: z.literal('make'),
    name: id,
  }),
  NewProposalSchema.extend({ do: z.literal('propose'), entry: id }),
  z.object({ do: z.literal('withdraw'), proposal: id }),
  /** Puts a collection into the wastebasket, with all that is in it. */
  z.object({ do: z.literal('drop'), collection: id }),
  AllowingSchema.extend({ do: z.literal('allow'), entry: id }),
]);
export type Step = z.infer<typeof StepSchema>;

/** Steps that belong together: all of them are done, or none. */
export const StepsSchema = z.object({ steps: z.array(StepSchema).min(1).max(100) });

/** What came of steps, in their order. */
export const SteppedSchema = z.object({
  /** Entries that were changed, moved or made, as they are now. */
  entries: z.array(EntrySchema),
  deletions: z.array(z.string()),
  proposals: z.array(z.string()),
});
export type Stepped = z.infer<typeof SteppedSchema>;
