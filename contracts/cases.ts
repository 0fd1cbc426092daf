import { z } from 'zod';
import { DraftDocumentSchema } from '#core/draft';
import { CaseRecordSchema } from '#core/record';

const instant = z.iso.datetime();

export const DraftSummarySchema = z.object({
  id: z.string(),
  case: z.string(),
  author: z.string(),
  state: z.enum(['open', 'finished']),
  version: z.number().int().min(1),
  savedAt: instant,
  excerpt: z.string(),
});
export type DraftSummary = z.infer<typeof DraftSummarySchema>;

export const DraftSchema = DraftSummarySchema.extend({ document: DraftDocumentSchema });
export type Draft = z.infer<typeof DraftSchema>;

export const CaseSummarySchema = z.object({
  id: z.string(),
  kind: z.enum(['admission', 'feedback', 'transcript', 'reply']),
  title: z.string(),
  number: z.string().nullable(),
  summary: z.string(),
  openedAt: instant,
  // My own draft of it: none yet, open, or finished.
  draft: z.object({ state: z.enum(['open', 'finished']), savedAt: instant, excerpt: z.string() }).nullable(),
});
export type CaseSummary = z.infer<typeof CaseSummarySchema>;

export const CaseSchema = CaseSummarySchema.extend({
  record: CaseRecordSchema,
  drafts: z.array(DraftSummarySchema),
});
export type Case = z.infer<typeof CaseSchema>;

export const SavedDraftSchema = z.object({
  document: DraftDocumentSchema,
  /** Said by who saves over what another window saved: that is kept among the earlier states first. */
  over: z.literal(true).optional(),
});

/** Why a state of a draft was kept: some minutes of writing, a finish, another window's writing saved over or set aside. */
const DraftStateWhySchema = z.enum(['written', 'finished', 'saved-over', 'set-aside']);
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

/** The answer to a Bundle: the case it made, and remarks on what was passed over. */
export const TakenOverSchema = z.object({ case: CaseSummarySchema, remarks: z.array(z.string()) });
export type TakenOver = z.infer<typeof TakenOverSchema>;
