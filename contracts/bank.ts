import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { RightSchema } from '#core/rights';
import { CollectionSettingsSchema } from './collections';
import { storedRevision } from './limits';

const instant = z.iso.datetime();

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

export const EntrySchema = z.object({
  id: z.string(),
  collection: z.string(),
  revision: z.number().int().min(1),
  content: EntryContentSchema,
  savedAt: instant,
  savedBy: z.string(),
  reason: z.string(),
  /** The shared entry it is used in place of, with the revision of that it was last held against. */
  varies: z.object({ entry: z.string(), revision: z.number().int() }).nullable(),
  /** Entries that became this one: what refers to them means it. */
  merged: z.array(z.string()).optional(),
});
export type Entry = z.infer<typeof EntrySchema>;

/** An entry that went out of a collection since the page had it. */
const GoneSchema = z.object({ entry: z.string(), collection: z.string() });

export const BankSchema = z.object({
  collections: z.array(CollectionSchema),
  /** How many entries each collection has, by its id; those with none are left out. */
  counts: z.record(z.string(), z.number().int().min(1)),
  /** Collections whose entries are not here: of a bank too large to be had whole they are asked for when they are wanted. */
  away: z.array(z.string()),
  entries: z.array(EntrySchema),
  gone: z.array(GoneSchema),
});
export type Bank = z.infer<typeof BankSchema>;

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

export const AskedSchema = z.object({ query: z.string().max(200) });
/** The nearest entries that have the words, best first, and whether there are more. */
export const FoundSchema = z.object({ entries: z.array(EntrySchema), more: z.boolean() });
export type Found = z.infer<typeof FoundSchema>;

export const ProblemToldSchema = z.object({ text: z.string().trim().min(1).max(20_000) });
/** The entries nearest to a text, best first, each with the words of the text that it has, in their plain form. */
export const NearestSchema = z.object({
  entries: z.array(z.object({ entry: EntrySchema, words: z.array(z.string()) })),
});
export type Nearest = z.infer<typeof NearestSchema>;

export const RevisionSummarySchema = z.object({
  revision: z.number().int().min(1),
  savedAt: instant,
  savedBy: z.string(),
  reason: z.string(),
});
export type RevisionSummary = z.infer<typeof RevisionSummarySchema>;

export const RevisionSchema = RevisionSummarySchema.extend({
  entry: z.string(),
  content: EntryContentSchema,
});
export type Revision = z.infer<typeof RevisionSchema>;

const reason = z.string().trim().max(300).default('');

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
export const SavedEntrySchema = z.object({ content: EntryContentSchema, reason });
