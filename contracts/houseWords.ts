import { z } from 'zod';
import { EntrySchema } from '#core/bank';
import { TermPlaceSchema } from './order';

const term = z.string().trim().max(100);

/** What is said in shared wording, instead of what, and why. */
export const HouseWordGivenSchema = z.object({
  /** Of which language; '' for every one. */
  language: z.string().max(35),
  /** '' where the others are only to be left out. */
  use: term,
  avoid: z.array(term.min(1)).min(1, 'say which words are to be avoided').max(20),
  why: z.string().trim().max(300),
  /** Whether they are pointed out only where two of them stand in one entry. */
  together: z.boolean(),
});
export type HouseWordGiven = z.infer<typeof HouseWordGivenSchema>;

/** A word of the house: what is said, and what is not to be said for it. */
export const HouseWordSchema = HouseWordGivenSchema.extend({ id: z.string() });

/** The words of the house, and whether one may change them. */
export const HouseWordsSchema = z.object({ words: z.array(HouseWordSchema), mayChange: z.boolean() });

/** Entries that say otherwise than the house does, with the edits that would change that. */
export const SaidOtherwiseSchema = z.object({
  entries: z.array(
    z.object({ entry: EntrySchema, places: z.array(TermPlaceSchema.extend({ word: z.string() })) }),
  ),
  /** How many places there are of each word of the house, by its id. */
  counts: z.record(z.string(), z.number().int()),
  /** Entries and places there are; and entries that were looked at. */
  count: z.number().int(),
  places: z.number().int(),
  read: z.number().int(),
});
export type SaidOtherwise = z.infer<typeof SaidOtherwiseSchema>;
