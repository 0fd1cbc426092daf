import { z } from 'zod';

/** An entry has so many files at the most. */
export const MOST_ENTRY_FILES = 12;
/** A file that goes along with wording is no larger: it travels with each placement, and with what is handed on. */
export const MOST_ENTRY_FILE_BYTES = 20_000_000;

/** A file that goes along with an entry where it is placed: what it holds is kept under its hash, once. */
export const EntryFileSchema = z.object({
  /** SHA-256 of what it holds, in hexadecimal. */
  hash: z.string().regex(/^[0-9a-f]{64}$/, 'a file is named by its SHA-256'),
  name: z.string().min(1).max(200),
  /** What it is by what is in it, as a media type. */
  media: z.string().min(1).max(100),
  bytes: z.number().int().min(0).max(MOST_ENTRY_FILE_BYTES),
});
export type EntryFile = z.infer<typeof EntryFileSchema>;
/** The files of an entry, in the order in which they are listed. */
export const EntryFilesSchema = z.array(EntryFileSchema).max(MOST_ENTRY_FILES);

/** Those of some files that others do not hold yet, whatever they are called. */
export const notYetIn = (files: readonly EntryFile[], more: readonly EntryFile[] = []): EntryFile[] =>
  more.filter(({ hash }) => files.every((one) => one.hash !== hash));
