import { z } from 'zod';
import { LeftAloneSchema, MOST_LEFT_ALONE } from './browserRoutes';
import { MOST_PAGE_CARDS, PageCardSchema } from './pageCards';
import { EntryContentSchema } from '#core/entry';
import { RecordRulesSchema } from '#core/record';
import { TeamKindsSchema } from '#core/work';
import { storedRevision } from './limits';

const id = z.string().min(1).max(60);
const ids = z.array(id).min(1).max(5000);

/** What was deleted in one act. */
export const DeletionSchema = z.object({
  id: z.string(),
  what: z.enum(['entries', 'collection', 'draft', 'glossary', 'file']),
  title: z.string(),
  by: z.string(),
  at: z.iso.datetime(),
  /** When it goes for good; null for never. */
  until: z.iso.datetime().nullable(),
  /** Its entries, the first of them; and how many there are. */
  entries: z.array(z.object({ id: z.string(), title: z.string(), collection: z.string() })),
  count: z.number().int(),
});
export type Deletion = z.infer<typeof DeletionSchema>;

/** What was brought back, and which cues could not be, since others have them now. */
export const RestoredSchema = z.object({
  entries: z.number().int(),
  lostCues: z.array(z.object({ title: z.string(), cue: z.string() })),
});
export type Restored = z.infer<typeof RestoredSchema>;

/** Entries of which is asked what deleting them would touch. */
export const TouchingSchema = z.object({ entries: ids });
/** What deleting would touch: entries that hold these, and unfinished drafts that do. */
export const TouchedSchema = z.object({
  within: z.array(z.object({ id: z.string(), title: z.string() })),
  drafts: z.number().int(),
});

/** Entries that are deleted in one act. */
export const DeletedEntriesSchema = z.object({ entries: ids });
/** Entries that are moved in one act, and the collection they go to. */
export const MovedSchema = z.object({ entries: ids, to: id });
/** Entries that are changed in one act, each with the revision it was changed from. */
export const ChangedEntriesSchema = z.object({
  changes: z
    .array(z.object({ entry: id, revision: storedRevision, content: EntryContentSchema }))
    .min(1)
    .max(2000),
  reason: z.string().trim().max(300).default(''),
});

const spans = z.number().int().min(0).max(120);

/** Of how many of the last days, weeks and months one backup each is kept. */
const BackupKeepingSchema = z.object({ days: spans, weeks: spans, months: spans });
export type BackupKeeping = z.infer<typeof BackupKeepingSchema>;
export const USUAL_KEEPING: BackupKeeping = { days: 7, weeks: 4, months: 12 };

/** How long what is personal may stay on a computer: not at all, or so many days after the server was reached last. */
export const CasesOnComputersSchema = z.union([z.literal('none'), z.number().int().min(1).max(365)]);
export type CasesOnComputers = z.infer<typeof CasesOnComputersSchema>;

/** What is set for the whole team. */
export const TeamSettingsSchema = z.object({
  /** Days after which the wastebasket is emptied of a thing; null for never. */
  wastebasketDays: z.number().int().min(1).max(3650).nullable(),
  /** The kinds of work that the team does, by its own names; null for all of them, as they come. */
  kinds: TeamKindsSchema.nullable(),
  /** What the team has settled on for the records of its cases; null for the usual. */
  records: RecordRulesSchema.nullable(),
  /** Which of the day's backups are kept; null for the usual. */
  backups: BackupKeepingSchema.nullable(),
  /** Pages that the companion of no member looks at. */
  leftAlone: z.array(LeftAloneSchema).max(MOST_LEFT_ALONE).nullable(),
  /** Where details of cases stand on pages of others. */
  pageCards: z.array(PageCardSchema).max(MOST_PAGE_CARDS).nullable(),
  /** How long cases and drafts may stay on members' computers; null for as long as they are signed in. */
  casesOnComputers: CasesOnComputersSchema.nullable(),
});

/** Some of what is set: the rest stays as it is. */
export const ChangedSettingsSchema = TeamSettingsSchema.partial().strict();
export type TeamSettings = z.infer<typeof TeamSettingsSchema>;
