import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';
import { DraftDocumentSchema } from '#core/draft';
import {
  CaseRecordSchema,
  CORRECTABLE,
  DETAILS,
  ListChangeSchema,
  RemovedItemSchema,
  ValueSchema,
} from '#core/record';
import { KindIdSchema } from '#core/work';
import { CaseFileSchema } from './files';

const instant = z.iso.datetime();

/** A draft in a list, without its text. */
export const DraftSummarySchema = z.object({
  id: z.string(),
  case: z.string(),
  author: z.string(),
  /** What its author calls it; '' for by what is written on it. */
  title: z.string(),
  begunAt: instant,
  state: z.enum(['open', 'finished']),
  version: z.number().int().min(1),
  savedAt: instant,
  excerpt: z.string(),
});
export type DraftSummary = z.infer<typeof DraftSummarySchema>;

/** A draft with its text and the placements in it. */
export const DraftSchema = DraftSummarySchema.extend({ document: DraftDocumentSchema });
export type Draft = z.infer<typeof DraftSchema>;

/** Which finished texts are wanted: of one case or (null) of all, behind one of them or (null) from the first. */
export const FinishedTextsAskedSchema = z.object({
  case: z.string().max(60).nullable(),
  after: z.string().max(60).nullable(),
});

/** A finished text with what it is called by. */
const FinishedTextSchema = DraftSchema.pick({
  id: true,
  case: true,
  title: true,
  excerpt: true,
  savedAt: true,
  document: true,
}).extend({ caseTitle: z.string() });
export type FinishedText = z.infer<typeof FinishedTextSchema>;
export const FinishedTextsSchema = z.object({ texts: z.array(FinishedTextSchema), more: z.boolean() });

/** A case in a list, with what the member's own drafts of it come to. */
export const CaseSummarySchema = z.object({
  id: z.string(),
  kind: KindIdSchema,
  title: z.string(),
  number: z.string().nullable(),
  summary: z.string(),
  openedAt: instant,
  /** Closed it is off the desk, until it is asked for. */
  closed: z.boolean(),
  // Of my own drafts of it the one to go on with: an unfinished one, saved last; else the finished one saved last.
  draft: z.object({ state: z.enum(['open', 'finished']), savedAt: instant, excerpt: z.string() }).nullable(),
  /** How many drafts of it I have. */
  unfinished: z.number().int(),
  finished: z.number().int(),
});
export type CaseSummary = z.infer<typeof CaseSummarySchema>;

/** Words to find cases by: all of them must be in the case, or on a leaf of my own. */
export const CaseSearchSchema = z.object({ words: z.string().trim().min(1).max(200) });

/** A case that was found; with the leaf of mine that has the words, and what stands around the first of them. */
export const FoundCaseSchema = CaseSummarySchema.extend({
  leaf: z.object({ id: z.string(), around: z.string() }).nullable(),
});
export type FoundCase = z.infer<typeof FoundCaseSchema>;

const path = z.enum(DETAILS.map((detail) => detail.path));

/** A case begun by hand. A leaf needs no title: it is called by what is written on it. */
export const NewCaseSchema = z
  .object({
    /** Names it: sent again, since the answer was lost, it is no second case. */
    id: z.uuid(),
    kind: KindIdSchema,
    title: z.string().trim().max(200, 'a title may have 200 characters at the most'),
    number: z.string().trim().max(60, 'a number may have 60 characters at the most').nullable(),
    details: z
      .array(z.object({ path, value: ValueSchema }))
      .max(60)
      .refine(
        (all) => new Set(all.map((one) => one.path)).size === all.length,
        'each detail can be given once',
      ),
    /** Others that it is given to, by their ids. */
    given: z.array(z.string().min(1).max(60)).max(500),
    /** What is on its first leaf, as when it is begun with a file. */
    document: DraftDocumentSchema.optional(),
  })
  .refine(({ kind, title }) => kind === 'leaf' || title !== '', {
    path: ['title'],
    message: 'give it a title',
  });
export type NewCase = z.infer<typeof NewCaseSchema>;

/** One detail of a record put right by hand: what stood there when it was looked at, and what is right; null for nothing. */
export const CorrectionSchema = z.object({
  path: z.enum(CORRECTABLE as [string, ...string[]]),
  had: ValueSchema.nullable(),
  value: ValueSchema.nullable(),
});
export type Correction = z.infer<typeof CorrectionSchema>;

/** A measurement, a medicine or a problem of a record written by hand, or put back after it was taken out. */
export const RecordListChangeSchema = z.union([
  ListChangeSchema,
  z.object({ list: z.literal('removed'), back: RemovedItemSchema }),
]);
export type RecordListChange = z.infer<typeof RecordListChangeSchema>;

/** A change of a case itself, and not of what is known or written in it. */
export const CaseChangeSchema = z.discriminatedUnion('do', [
  z.object({
    do: z.literal('rename'),
    title: z.string().trim().min(1, 'give it a title').max(200),
    number: z.string().trim().max(60).nullable(),
  }),
  z.object({ do: z.literal('give'), to: z.string().min(1).max(60) }),
  z.object({ do: z.literal('take-back'), from: z.string().min(1).max(60) }),
  z.object({ do: z.literal('close') }),
  z.object({ do: z.literal('reopen') }),
]);
export type CaseChange = z.infer<typeof CaseChangeSchema>;

/** A case with its record, the member's own drafts of it, its files, and whom it is given to. */
export const CaseSchema = CaseSummarySchema.extend({
  record: CaseRecordSchema,
  drafts: z.array(DraftSummarySchema),
  /** The members it is given to, by their ids. */
  given: z.array(z.string()),
  /** Files kept with it, in the order they were added. */
  files: z.array(CaseFileSchema),
});
export type Case = z.infer<typeof CaseSchema>;

/** What a draft is called; '' for by what is written on it. */
const draftTitle = z.string().trim().max(120, 'a title may have 120 characters at the most');

/** Another draft of a case, empty or as a copy of one of my own. */
export const NewDraftSchema = z.object({
  /** Names it: sent again, since the answer was lost, it is no second draft. */
  id: z.uuid(),
  title: draftTitle,
  copyOf: z.string().max(60).nullable(),
  /** The day where the member is: what a copy computes from today, it computes from that. */
  today: CalendarDateSchema,
});
export type NewDraft = z.infer<typeof NewDraftSchema>;

/** What a draft is to be called. */
export const DraftTitleSchema = z.object({ title: draftTitle });

/** The text that a draft is saved with. */
export const SavedDraftSchema = z.object({
  document: DraftDocumentSchema,
  /** Said by who saves over what another window saved: that is kept among the earlier states first. */
  over: z.literal(true).optional(),
});

/** Why a state of a draft was kept: some minutes of writing, a finish, another window's writing saved over or set aside, a backup. */
const DraftStateWhySchema = z.enum(['written', 'finished', 'saved-over', 'set-aside', 'from-backup']);
export type DraftStateWhy = z.infer<typeof DraftStateWhySchema>;

/** An earlier state of a draft, in a list. */
export const DraftStateSummarySchema = z.object({
  id: z.string(),
  at: instant,
  why: DraftStateWhySchema,
  excerpt: z.string(),
});
export type DraftStateSummary = z.infer<typeof DraftStateSummarySchema>;

/** An earlier state of a draft, with its text. */
export const DraftStateSchema = DraftStateSummarySchema.extend({ document: DraftDocumentSchema });

/** A text that is not taken on the leaf and kept among the draft's earlier states. */
export const SetAsideSchema = z.object({ document: DraftDocumentSchema });

/** Cases on whose unfinished leaves stand words from the bank that have a newer wording, and in how many placements. */
export const NewerWordingsSchema = z.array(
  z.object({ case: z.string(), title: z.string(), placements: z.number().int().min(1) }),
);
export type NewerWordings = z.infer<typeof NewerWordingsSchema>;
