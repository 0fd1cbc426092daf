import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { CollectionSchema } from './collection';

const instant = z.iso.datetime();

/** An entry at its newest revision, in the collection it lives in. */
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
export const GoneSchema = z.object({ entry: z.string(), collection: z.string() });

/** The bank as one member sees it: all collections they may read, and the entries that are at hand. */
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
