import { z } from 'zod';
import { DraftDocumentSchema } from '#core/draft';
import { TRAY_LIMITS, TraySetupSchema, WAYS_RENAMED } from '#core/naming';
import { define } from '../route';

/** So many lines of a tray are sent or changed in one request. */
export const MOST_LINES_AT_ONCE = 500;
const MOST_BYTES = 16 * 1024 * 1024;

const name = z.string().min(1).max(TRAY_LIMITS.name);
/** What was answered, by the names of fields. */
const said = z.record(z.string().max(60), z.string().max(300));

/** A file as it came: known again by its name, its size and when it was changed. */
const FileInTraySchema = z.object({
  // Of the page's making: one that was taken out comes back under its own.
  id: z.string().min(1).max(60),
  folder: z.string().max(TRAY_LIMITS.folder),
  name,
  bytes: z.number().int().min(0).max(Number.MAX_SAFE_INTEGER),
  changed: z.iso.datetime(),
  // The file of the case that is a copy of it; null where it is on its owner's computer alone.
  file: z.string().min(1).max(60).nullable().default(null),
});
export type FileInTray = z.input<typeof FileInTraySchema>;

/** A file of a tray, and what it is to be called. */
const TrayLineSchema = z.object({
  ...FileInTraySchema.shape,
  id: z.string(),
  file: z.string().nullable(),
  position: z.number().int(),
  version: z.number().int(),
  document: DraftDocumentSchema.nullable(),
  words: z.string(),
  newName: z.string().nullable(),
  namedAt: z.iso.datetime().nullable(),
  renamed: z.enum(WAYS_RENAMED).nullable(),
  renamedAt: z.iso.datetime().nullable(),
});
export type TrayLine = z.infer<typeof TrayLineSchema>;

/** A tray with its lines; of version 0 as long as nobody said how its files are named. */
const TraySchema = z.object({
  version: z.number().int(),
  // Of the tray that its member set up last, where this one was not yet.
  setup: TraySetupSchema,
  lines: z.array(TrayLineSchema),
});
export type Tray = z.infer<typeof TraySchema>;

/** What is changed about a line. With `version` it is refused where somebody changed the line meanwhile. */
const LineChangeSchema = z.object({
  line: z.string().min(1).max(60),
  version: z.int32().min(1).optional(),
  // The name as it is written, what it reads, and what was answered in it.
  written: z
    .object({ document: DraftDocumentSchema.nullable(), words: z.string().max(2000), said })
    .optional(),
  // The whole name, of which its writer is done; null: it is written on again.
  newName: name.nullable().optional(),
  // How the file came to its new name; null: it has its old one again.
  renamed: z.enum(WAYS_RENAMED).nullable().optional(),
  // The file of the case that is a copy of it.
  file: z.string().min(1).max(60).optional(),
  // It is taken out of the tray. The file itself stays where it is.
  drop: z.literal(true).optional(),
});
export type LineChange = z.infer<typeof LineChangeSchema>;

/** What was answered in earlier names: by the name of a field, the words, and how often. */
const SaidBeforeSchema = z.object({ field: z.string(), words: z.string(), times: z.number().int() });
export type SaidBefore = z.infer<typeof SaidBeforeSchema>;

/** Routes of trays of files. */
export const NAMING_ROUTES = define({
  tray: {
    method: 'get',
    path: '/api/cases/:case/tray',
    access: 'given',
    atHand: 'case',
    summary: 'The files of a tray, and what each is to be called.',
    status: 200,
    response: TraySchema,
  },
  keepTray: {
    method: 'put',
    path: '/api/cases/:case/tray',
    access: 'given',
    summary: 'Keeps how the files of a tray are named. The first time it is of version 0.',
    status: 200,
    guarded: true,
    body: z.object({ setup: TraySetupSchema }),
    response: z.object({ version: z.number().int() }),
  },
  addTrayLines: {
    method: 'post',
    path: '/api/cases/:case/tray/lines',
    access: 'given',
    summary: 'Adds files to a tray, behind those it has. One that is there already stays as it is.',
    status: 200,
    body: z.object({ files: z.array(FileInTraySchema).min(1).max(MOST_LINES_AT_ONCE) }),
    response: z.object({ lines: z.array(TrayLineSchema) }),
  },
  changeTrayLines: {
    method: 'post',
    path: '/api/cases/:case/tray/lines/changes',
    access: 'given',
    summary: 'Changes lines of a tray: what is written, what is done, what was renamed. All or none.',
    status: 200,
    mostBytes: MOST_BYTES,
    body: z.object({ changes: z.array(LineChangeSchema).min(1).max(MOST_LINES_AT_ONCE) }),
    response: z.object({ lines: z.array(TrayLineSchema) }),
  },
  saidBefore: {
    method: 'get',
    path: '/api/tray-answers',
    access: 'member',
    summary: 'What was answered in the names of files in trays that one has: senders, subjects, numbers.',
    status: 200,
    response: z.array(SaidBeforeSchema),
  },
});
