import { z } from 'zod';
import { storedInstant } from './limits';

/** What acts are about, for those who look for one of them. */
export const ACTS_ABOUT = {
  people: [
    'member-invited',
    'invitation-withdrawn',
    'member-joined',
    'role-changed',
    'member-left',
    'member-returned',
    'password-letter-sent',
    'password-changed',
    'password-asked',
    'letter-read',
    'details-changed',
    'browser-joined',
    'group-made',
    'group-changed',
    'group-deleted',
  ],
  rights: ['handed-over', 'collection-shared', 'collection-moved'],
  wording: [
    'entry-made',
    'entry-changed',
    'entry-moved',
    'entry-deleted',
    'entry-restored',
    'collection-deleted',
    'collection-restored',
    'collection-handed-on',
    'file-taken-over',
    'terms-imported',
    'term-added',
    'term-changed',
    'term-dropped',
    'glossary-deleted',
    'glossary-restored',
    'wastebasket-emptied',
  ],
  settings: ['collection-made', 'collection-changed', 'settings-changed'],
  backups: ['backup-made', 'backup-downloaded', 'backup-deleted', 'brought-back'],
} as const;

const ACTS = [
  ...ACTS_ABOUT.people,
  ...ACTS_ABOUT.rights,
  ...ACTS_ABOUT.wording,
  ...ACTS_ABOUT.settings,
  ...ACTS_ABOUT.backups,
] as const;
const ActSchema = z.enum(ACTS);
/** Something the trail tells of. */
export type Act = z.infer<typeof ActSchema>;

/** Which lines of the trail are wanted; null for all. */
export const TrailAskedSchema = z.object({
  about: z.enum(Object.keys(ACTS_ABOUT) as (keyof typeof ACTS_ABOUT)[]).nullable(),
  /** Who did it. */
  by: z.string().max(60).nullable(),
  /** From and before when. */
  from: storedInstant.nullable(),
  until: storedInstant.nullable(),
  /** Only what was done before this one: for the next page. */
  before: z.number().int().nullable(),
});
export type TrailAsked = z.infer<typeof TrailAskedSchema>;

/** One line of the trail: who did what, and when. */
export const TrailLineSchema = z.object({
  id: z.number().int(),
  at: z.iso.datetime(),
  by: z.string(),
  act: ActSchema,
  subject: z.string(),
  detail: z.string(),
});
export type TrailLine = z.infer<typeof TrailLineSchema>;

/** Lines of the trail, the newest first, and whether there are more. */
export const TrailSchema = z.object({ lines: z.array(TrailLineSchema), more: z.boolean() });
