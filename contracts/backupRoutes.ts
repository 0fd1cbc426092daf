import { z } from 'zod';
import { longAnswerOf } from './order';
import { define } from './route';

const id = z.string().min(1).max(60);

/** Why a backup was made. */
export const BACKUP_WHYS = [
  'daily',
  'by hand',
  'before upgrade',
  'before import',
  'before change',
  'before restore',
] as const;
export type BackupWhy = (typeof BACKUP_WHYS)[number];

/** A backup in the folder of backups. */
const BackupSchema = z.object({
  /** Its file's name. */
  name: z.string(),
  at: z.iso.datetime(),
  why: z.enum(BACKUP_WHYS),
  bytes: z.number().int(),
  /** Whether a passphrase opens it. */
  isEncrypted: z.boolean(),
});
export type Backup = z.infer<typeof BackupSchema>;

/** What takes how much room, in bytes. */
const RoomSchema = z.object({
  /** Tables with what they are found by, the largest first; and files. */
  parts: z.array(z.object({ name: z.string(), bytes: z.number().int() })),
  /** What is free where the data are, and how much there is in all; null where the server's machine does not tell. */
  free: z.number().int().nullable(),
  total: z.number().int().nullable(),
  mostFileBytes: z.number().int(),
});
export type Room = z.infer<typeof RoomSchema>;

/** What a long work on a backup came to: its result, or why there is none, in words. */
const orRefused = <T extends z.ZodType>(result: T) =>
  z.discriminatedUnion('state', [
    z.object({ state: z.literal('done'), result }),
    z.object({ state: z.literal('refused'), why: z.string() }),
  ]);

const TitlesSchema = z.object({ count: z.number().int(), titles: z.array(z.string()) });

/** How a collection, a case and the team are other today than in a backup; only what the member may see and could write. */
const ComparedSchema = z.object({
  collections: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      /** Whether it is there today, in the wastebasket, or gone for good. */
      state: z.enum(['here', 'deleted', 'gone']),
      /** Entries that are there no more, that read otherwise, and that came since. */
      gone: TitlesSchema,
      changed: TitlesSchema,
      since: TitlesSchema,
    }),
  ),
  cases: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      /** The member's own texts, and files of the case. */
      gone: TitlesSchema,
      changed: TitlesSchema,
      files: TitlesSchema,
    }),
  ),
  /** Who came or changed since; null for who is no owner. */
  people: z.array(z.object({ name: z.string(), what: z.enum(['new', 'changed', 'left']) })).nullable(),
});
export type Compared = z.infer<typeof ComparedSchema>;

const BringingBackSchema = z.object({
  backup: z.string().max(100),
  collections: z
    .array(
      z.object({
        id,
        /** Whether what came since goes into the wastebasket. */
        withSince: z.boolean(),
      }),
    )
    .max(200),
  cases: z.array(id).max(200),
});
export type BringingBack = z.infer<typeof BringingBackSchema>;

const BroughtBackSchema = z.object({
  entries: z.number().int(),
  lostCues: z.array(z.object({ title: z.string(), cue: z.string() })),
  drafts: z.number().int(),
  files: z.number().int(),
  /** What takes the entries back to how they were before: saved anew, come back, and gone into the wastebasket. */
  undo: z.object({
    reverts: z.array(z.object({ entry: z.string(), revision: z.number().int(), to: z.number().int() })),
    back: z.array(z.string()),
    deletions: z.array(z.string()),
  }),
});
export type BroughtBack = z.infer<typeof BroughtBackSchema>;

/** Backups of the whole store: made, kept, looked into, brought back in part; and the room that all takes. */
export const BACKUP_ROUTES = define({
  backups: {
    method: 'get',
    path: '/api/backups',
    access: 'member',
    summary: 'The backups that there are, newest first, and where they are kept: null where none are made.',
    status: 200,
    response: z.object({ folder: z.string().nullable(), backups: z.array(BackupSchema) }),
  },
  room: {
    method: 'get',
    path: '/api/room',
    access: 'owner',
    summary: 'What takes how much room, and how much is free.',
    status: 200,
    response: RoomSchema,
  },
  makeBackup: {
    method: 'post',
    path: '/api/backups',
    access: 'owner',
    summary: 'Makes a backup now, answered in lines as for entries alike.',
    status: 200,
    stream: 'application/x-ndjson',
    response: longAnswerOf(orRefused(BackupSchema)),
  },
  backupFile: {
    method: 'get',
    path: '/api/backups/:backup/file',
    access: 'owner',
    summary: 'A backup as the file it is. It goes into the trail.',
    status: 200,
    stream: 'application/octet-stream',
  },
  deleteBackup: {
    method: 'delete',
    path: '/api/backups/:backup',
    access: 'owner',
    summary: 'Deletes a backup for good.',
    status: 204,
  },
  compareBackup: {
    method: 'post',
    path: '/api/backups/compared',
    access: 'member',
    summary:
      'How what the member keeps and was given is other today than in a backup, in lines as for entries alike.',
    status: 200,
    body: z.object({ backup: z.string().max(100) }),
    stream: 'application/x-ndjson',
    response: longAnswerOf(orRefused(ComparedSchema)),
  },
  bringBack: {
    method: 'post',
    path: '/api/backups/brought-back',
    access: 'member',
    summary:
      'Brings collections back to what they were in a backup, as new revisions, and the member’s own texts of cases. A backup is made first.',
    status: 200,
    body: BringingBackSchema,
    response: BroughtBackSchema,
  },
});
