import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { EntrySchema, GoneSchema } from '#core/bank';
import { storedRevision } from './limits';

const instant = z.iso.datetime();

const change = z.int32().min(0);
/** A team has at most so many collections. */
const MOST_COLLECTIONS_HAD = 20_000;

/**
 * What a page has of the bank: collections, each with the count of changes that it has it at, and entries of others, which
 * it had been given by themselves.
 */
export const BankHadSchema = z.object({
  had: z
    .record(z.string().max(60), change)
    .refine((had) => Object.keys(had).length <= MOST_COLLECTIONS_HAD, 'names too many collections'),
  loose: z.array(z.string().max(60)).max(5000).default([]),
});
export type BankHad = z.infer<typeof BankHadSchema>;

/** The count of changes that a page has one collection at; null for one it has nothing of. */
export const CollectionHadSchema = z.object({ had: change.nullable() });

/** Entries of one collection, with those that they include and those that went out of it. */
export const CollectionChangesSchema = z.object({
  changes: change,
  entries: z.array(EntrySchema),
  gone: z.array(GoneSchema),
});

/** Words to search the bank by. */
export const AskedSchema = z.object({ query: z.string().max(200) });
/** The nearest entries that have the words, best first, and whether there are more. */
export const FoundSchema = z.object({ entries: z.array(EntrySchema), more: z.boolean() });
export type Found = z.infer<typeof FoundSchema>;

/** A text, such as a message, to which the nearest entries are sought. */
export const ProblemToldSchema = z.object({ text: z.string().trim().min(1).max(20_000) });
/** The entries nearest to a text, best first, each with the words of the text that it has, in their plain form. */
export const NearestSchema = z.object({
  entries: z.array(z.object({ entry: EntrySchema, words: z.array(z.string()) })),
});
export type Nearest = z.infer<typeof NearestSchema>;

/** One saved state in the history of an entry, without its content. */
export const RevisionSummarySchema = z.object({
  revision: z.number().int().min(1),
  savedAt: instant,
  savedBy: z.string(),
  reason: z.string(),
});
export type RevisionSummary = z.infer<typeof RevisionSummarySchema>;

/** One saved state in the history of an entry, with its content. */
export const RevisionSchema = RevisionSummarySchema.extend({
  entry: z.string(),
  content: EntryContentSchema,
});
export type Revision = z.infer<typeof RevisionSchema>;

const reason = z.string().trim().max(300).default('');

/** An entry that is made: its content, its collection, and why. */
export const NewEntrySchema = z.object({
  collection: z.string().min(1).max(60),
  content: EntryContentSchema,
  reason,
  /** The shared entry that it varies, and the revision it was made from. */
  varies: z.object({ entry: z.string().max(60), revision: storedRevision }).optional(),
  /** Names what is made: sent again, since the answer was lost, it is no second entry but the same one, as it is sent now. */
  key: z.uuid().optional(),
});
export type NewEntry = z.infer<typeof NewEntrySchema>;
/** The content that an entry is saved with, and why. */
export const SavedEntrySchema = z.object({ content: EntryContentSchema, reason });
