import { z } from 'zod';

/** Entries within entries put their own id before each of their fields', and go eight deep. */
const LONGEST = 700;

/**
 * An id by which something is looked up in a plain object: a field's, for its answer; a placement's. Names that every object
 * has (`constructor`, `toString`) are none, or what is found there would not be what was put there.
 */
export const KeyIdSchema = z
  .string()
  .min(1)
  .max(LONGEST)
  .refine((id) => !(id in {}), 'cannot be an id: every object has it');

/** In which placement of a draft something stands; null in a wording. */
export const placementId = KeyIdSchema.nullable().default(null);
