import { z } from 'zod';
import { storedDay } from './limits';

/** How well a member knows the cues of entries: in which box each is, and from which day it comes again. */
export const PractisedSchema = z.object({
  known: z.record(z.string(), z.object({ box: z.number().int().min(0), due: z.iso.date() })),
});

/** What was answered in a practice, in order. */
export const PractisedNowSchema = z.object({
  /** The day where the member is. */
  day: storedDay,
  answers: z
    .array(z.object({ entry: z.string().min(1).max(60), known: z.boolean() }))
    .min(1)
    .max(200),
});
export type PractisedNow = z.infer<typeof PractisedNowSchema>;
