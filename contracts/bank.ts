import { z } from 'zod';
import { CueRulesSchema } from '#core/cue';
import { EntryContentSchema } from '#core/entry';

const instant = z.iso.datetime();

export const CollectionSchema = z.object({
  id: z.string(),
  name: z.string(),
  own: z.boolean(),
  leadIn: z.string().max(4),
  cueRules: CueRulesSchema,
  kindsOfWork: z.array(z.string()),
  language: z.string(),
  right: z.enum(['read', 'contribute', 'keep']),
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
});
export type Entry = z.infer<typeof EntrySchema>;

export const BankSchema = z.object({ collections: z.array(CollectionSchema), entries: z.array(EntrySchema) });
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
});
export const SavedEntrySchema = z.object({ content: EntryContentSchema, reason });
