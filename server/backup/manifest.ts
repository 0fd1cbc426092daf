import { z } from 'zod';

/** What a backup says of itself: what is in it, how much, and by what it is known to be whole. */
export const ManifestSchema = z.object({
  format: z.literal('elderleaf-backup'),
  version: z.literal(1),
  /** When it was made, as of which moment it is. */
  madeAt: z.iso.datetime(),
  /** Which Elderleaf made it. */
  madeBy: z.string().max(40),
  /** How many changes of the schema there were: an older one is brought up to date behind it, a newer one is refused. */
  schema: z.number().int().min(1).max(10_000),
  tables: z.array(
    z.object({
      name: z.string().regex(/^[a-z_]{1,60}$/),
      columns: z.array(z.string().max(60)),
      rows: z.number().int().min(0),
    }),
  ),
  /** Each file within it, with its size in bytes and its SHA-256. */
  parts: z.array(
    z.object({
      name: z.string().max(200),
      bytes: z.number().int().min(0),
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
    }),
  ),
});
export type Manifest = z.infer<typeof ManifestSchema>;

export const MANIFEST = 'manifest.json';
export const tablePart = (name: string): string => `tables/${name}.ndjson`;
export const filePart = (hash: string): string => `files/${hash}`;

/** What is told to whoever opens one without Elderleaf. */
export const READ_ME = `This is a backup of an Elderleaf.

tables/NAME.ndjson  the rows of each table, one JSON object in each line (UTF-8)
files/SHA256        the files kept with cases and entries, by the SHA-256 of what they hold;
                    the tables case_files, entry_files and draft_files say what they are called
manifest.json       how many rows there are of each table, and the size and SHA-256 of each part

Restore it with: npm run restore -- FILE
Passwords are kept as Argon2id hashes. Sessions are not in it: everyone signs in anew.
`;
