import { z } from 'zod';

/** The longest name of a file, in characters. */
export const MOST_NAME = 200;
/** A case has so many files at the most. */
export const MOST_FILES = 500;

/** A file that is kept with a case. */
export const CaseFileSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** What it is by what is in it, as a media type. */
  media: z.string(),
  bytes: z.number().int().min(0),
  /** Who added it, by name. */
  addedBy: z.string(),
  addedAt: z.iso.datetime(),
});
export type CaseFile = z.infer<typeof CaseFileSchema>;
