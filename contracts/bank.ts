import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { RightSchema } from '#core/rights';
import { CollectionSettingsSchema } from './collections';

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
});
export type Entry = z.infer<typeof EntrySchema>;

export const BankSchema = z.object({
  collections: z.array(CollectionSchema),
  entries: z.array(EntrySchema),
  /** Entries that went out of a collection since the page had it. */
  gone: z.array(z.object({ entry: z.string(), collection: z.string() })),
});
export type Bank = z.infer<typeof BankSchema>;

/** What a page has of the bank: its collections, each with the count of changes that it has it at. */
export const BankHadSchema = z.object({ had: z.record(z.string().max(60), z.number().int().min(0)) });
export type BankHad = z.infer<typeof BankHadSchema>;

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
  varies: z.object({ entry: z.string().max(60), revision: z.number().int().min(1) }).optional(),
});
export const SavedEntrySchema = z.object({ content: EntryContentSchema, reason });
