import { z } from 'zod';
import { AnsweredSchema, ProposalAnswerSchema, NewProposalSchema, ProposalSchema } from './proposals';
import { define } from './route';

/** Proposals: changes of entries by those who may not make them, answered by those who may. */
export const PROPOSAL_ROUTES = define({
  proposals: {
    method: 'get',
    path: '/api/proposals',
    access: 'member',
    atHand: 'team',
    summary: "The open proposals that the member may answer, and the member's own, newest first.",
    status: 200,
    response: z.array(ProposalSchema),
  },
  propose: {
    method: 'post',
    path: '/api/entries/:entry/proposals',
    access: 'reader',
    summary: 'Proposes a change of an entry to its keepers.',
    status: 201,
    body: NewProposalSchema,
    response: ProposalSchema,
  },
  answerProposal: {
    method: 'post',
    path: '/api/proposals/:proposal/answer',
    access: 'keeper',
    summary: 'Accepts a proposal, as it is or amended, or declines it.',
    status: 200,
    body: ProposalAnswerSchema,
    response: AnsweredSchema,
  },
  withdrawProposal: {
    method: 'delete',
    path: '/api/proposals/:proposal',
    access: 'member',
    summary: "Takes one's own open proposal back.",
    status: 204,
  },
});
