import { z } from 'zod';
import { EntrySchema } from '#core/bank';
import { EntryContentSchema } from '#core/entry';
import { storedRevision } from './limits';

/** A change of an entry that is proposed, with the revision it was made to. */
export const NewProposalSchema = z.object({
  content: EntryContentSchema,
  reason: z.string().trim().min(1, 'say why: its keepers read it').max(300),
  /** The revision that the change was made to. */
  base: storedRevision,
});

/** A change of an entry that someone proposes who may not make it. */
export const ProposalSchema = NewProposalSchema.extend({
  id: z.string(),
  entry: z.string(),
  proposedBy: z.string(),
  proposedAt: z.iso.datetime(),
  state: z.enum(['open', 'accepted', 'declined', 'withdrawn']),
  /** What its keeper said to it, and who that was. */
  answer: z.string(),
  answeredBy: z.string().nullable(),
  /** Whether it is one's own, and whether one may answer it. */
  own: z.boolean(),
  mayAnswer: z.boolean(),
  /** How many unfinished drafts hold the entry; null for those who may not answer. */
  drafts: z.number().int().nullable(),
  /** Whether its entry is in the wastebasket: then only its proposer still sees it. */
  deleted: z.boolean(),
});
export type Proposal = z.infer<typeof ProposalSchema>;

/** The answer to a proposal: accepted with a content, or declined. */
export const ProposalAnswerSchema = z.object({
  /** What the entry becomes, and the revision it is made to; null to decline. */
  accept: z.object({ content: EntryContentSchema, revision: storedRevision }).nullable(),
  answer: z.string().trim().max(300),
});

/** What became of a proposal, and the entry as it is then. */
export const AnsweredSchema = z.object({ proposal: ProposalSchema, entry: EntrySchema.nullable() });
