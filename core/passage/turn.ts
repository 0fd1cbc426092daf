import { z } from 'zod';

/** The longest time a transcript knows, in milliseconds: a hundred hours. */
const LONGEST_TIME = 360_000_000;

/** A time of a recording, in whole milliseconds from its beginning. */
export const TimeSchema = z.number().int().min(0).max(LONGEST_TIME);

/** Whose turn it is, by the speaker's id in the cast, and when in the recording it begins; null where that is not known. */
export const TurnAttrsSchema = z.object({
  speaker: z.string().min(1).max(60),
  at: TimeSchema.nullable().default(null),
});
/** What a turn carries beside its words. */
export type TurnAttrs = z.infer<typeof TurnAttrsSchema>;

/** A time put into the text; `unclear` where it is the time of something that cannot be made out. */
export const TimeCodeAttrsSchema = z.object({
  /** Null in a wording, and in a draft until it is placed. */
  at: TimeSchema.nullable().default(null),
  unclear: z.boolean().default(false),
  /** As it is written. */
  text: z.string().max(40).default(''),
});
