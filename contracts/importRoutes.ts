import { z } from 'zod';
import { EntryContentSchema } from '#core/entry';
import { CollectionsInFileSchema, MOST_IN_A_PIECE } from '#core/takeover';
import { storedRevision } from './limits';
import { define } from './route';

const id = z.string().min(1).max(60);

/** Begins an import: what it is called, and where its entries go. Nothing of it is seen before it is finished. */
const NewImportSchema = z.object({
  /** The name of the file, or what else it came from. */
  name: z.string().trim().min(1).max(200),
  /** The collections of what comes, from the top down, by ids that mean something in it alone. */
  collections: CollectionsInFileSchema,
  /** Those of them that are collections here, by their ids there; the others are made. */
  places: z.record(id, id),
});

/** Some of the entries of an import. Sent again, they are there once. */
const ImportPieceSchema = z.object({
  entries: z
    .array(
      z.object({
        id,
        collection: id,
        content: EntryContentSchema,
        /** The entry that it becomes the next revision of. */
        replaces: z.object({ entry: id, revision: storedRevision }).nullable(),
      }),
    )
    .min(1)
    .max(MOST_IN_A_PIECE),
  /** What entries that do not come are called here, for those that have them within. */
  known: z.record(id, id),
  /** Entries that come as new ones with this import and stand within some of these, by their ids there. */
  coming: z.array(id).max(5000),
});
export type ImportPiece = z.infer<typeof ImportPieceSchema>;

/** An import as its maker sees it. */
const ImportSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Of which nothing is seen yet; which is in the bank; which was taken back. */
  state: z.enum(['arriving', 'here', 'undone']),
  at: z.iso.datetime(),
  /** Where it is: the collection that it went into, or the first of those that were made. */
  collection: z.string(),
  /** How many entries are new by it, and how many have a next revision. */
  made: z.number().int(),
  changed: z.number().int(),
});
export type Import = z.infer<typeof ImportSchema>;

/** What taking an import back came to. */
const ImportUndoneSchema = z.object({
  deleted: z.number().int(),
  reverted: z.number().int(),
  /** Entries that somebody changed since: they stay as they are. The first of them by their titles. */
  left: z.array(z.string()),
  leftCount: z.number().int(),
});
export type ImportUndone = z.infer<typeof ImportUndoneSchema>;

/** Bringing in many entries as one act. */
export const IMPORT_ROUTES = define({
  beginImport: {
    method: 'post',
    path: '/api/imports',
    access: 'member',
    summary: 'Begins an import into collections that the member keeps, or into new ones.',
    status: 201,
    body: NewImportSchema,
    response: ImportSchema,
  },
  sendImportPiece: {
    method: 'post',
    path: '/api/imports/:import/pieces',
    access: 'member',
    summary: 'Takes some entries of an import. They are seen once it is finished.',
    status: 200,
    body: ImportPieceSchema,
    response: ImportSchema,
  },
  finishImport: {
    method: 'post',
    path: '/api/imports/:import/finish',
    access: 'member',
    summary: 'Makes all entries of an import seen at one moment, or none.',
    status: 200,
    response: ImportSchema,
  },
  dropImport: {
    method: 'delete',
    path: '/api/imports/:import',
    access: 'member',
    summary: 'Drops an import that is not finished, with all that was sent of it.',
    status: 204,
  },
  imports: {
    method: 'get',
    path: '/api/imports',
    access: 'member',
    summary: 'What the member brought in, the newest first.',
    status: 200,
    response: z.array(ImportSchema),
  },
  undoImport: {
    method: 'post',
    path: '/api/imports/:import/undo',
    access: 'member',
    summary: 'Takes an import back, but for what was changed since.',
    status: 200,
    response: ImportUndoneSchema,
  },
});
