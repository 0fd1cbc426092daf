import { z } from 'zod';
import { CommentOnSchema, PassageSchema } from '#core/passage';
import { SubmissionSchema } from '#core/submission';
import { AssignmentWorkSchema } from '#core/work';
import { MOST_NAME } from '../files';
import { define } from '../route';

/** The most bytes that a submission may have as it is kept, without its file. */
export const MOST_SUBMISSION_BYTES = 24 * 1024 * 1024;

const instant = z.iso.datetime();

/** A submission that is handed in: how it reads, and which of the case's files it came from. */
export const HandedInSchema = z.object({
  submission: SubmissionSchema,
  /** What the file was called, or what it is called here. */
  name: z.string().trim().min(1).max(MOST_NAME),
  /** The file of the case that it was read from; null for one that was pasted. */
  file: z.string().max(60).nullable(),
});
export type HandedIn = z.infer<typeof HandedInSchema>;

/** The submission of a case, as it was handed in last. */
export const CaseSubmissionSchema = HandedInSchema.extend({
  /** How often it was handed in. */
  version: z.number().int().min(1),
  takenAt: instant,
  /** The assignment it belongs to; null for one on its own. */
  assignment: z.string().nullable(),
});
export type CaseSubmission = z.infer<typeof CaseSubmissionSchema>;

/** A comment of a colleague on the same submission. */
const OthersCommentSchema = CommentOnSchema.extend({ passage: PassageSchema });

/** The comments that one other member has on a submission. */
export const OthersCommentsSchema = z.object({
  author: z.string(),
  authorName: z.string(),
  savedAt: instant,
  /** Whether they have said that they are done. */
  finished: z.boolean(),
  comments: z.array(OthersCommentSchema),
});
export type OthersComments = z.infer<typeof OthersCommentsSchema>;

/** A submission of an assignment, as lists tell it. */
const AssignedSchema = z.object({
  case: z.string(),
  title: z.string(),
  person: z.string(),
  words: z.number().int(),
  handedIn: instant,
  /** What the member's own comments come to: not begun, begun, or finished. */
  state: z.enum(['none', 'open', 'finished']),
  /** How many comments there are on it, of all members. */
  comments: z.number().int(),
});
export type Assigned = z.infer<typeof AssignedSchema>;

/** An assignment with its submissions. */
export const AssignmentSchema = AssignmentWorkSchema.extend({
  id: z.string(),
  version: z.number().int().min(1),
  madeBy: z.string(),
  /** The members it is given to, by their ids. */
  given: z.array(z.string()),
  submissions: z.array(AssignedSchema),
});
export type Assignment = z.infer<typeof AssignmentSchema>;

/** An assignment to be made, under an id of the sender's own: sent again, it is one assignment. */
export const NewAssignmentSchema = AssignmentWorkSchema.extend({
  id: z.uuid(),
  given: z.array(z.string().min(1).max(60)).max(500),
});
export type NewAssignment = z.infer<typeof NewAssignmentSchema>;

/** What is changed of an assignment. */
export const AssignmentChangeSchema = AssignmentWorkSchema.extend({
  given: z.array(z.string().min(1).max(60)).max(500),
});

/** A submission that comes into an assignment: a case is made of it, for all the assignment is given to. */
export const AssignedInSchema = z.object({
  /** The id of the case: sent again, it is one case. */
  case: z.uuid(),
  person: z.string().trim().min(1, 'say whose it is').max(200),
  title: z.string().trim().min(1).max(200),
});

/** A slip somebody made in an assignment, by the entry of the comments that told it. */
const SlipSchema = z.object({
  entry: z.string(),
  title: z.string(),
  person: z.string(),
  count: z.number().int(),
});

/** What the comments of all tutors on the submissions of an assignment come to. */
export const ClassCountsSchema = z.object({
  people: z.array(
    z.object({
      case: z.string(),
      person: z.string(),
      criteria: z.array(
        z.object({
          criterion: z.string(),
          praise: z.number().int(),
          faults: z.number().int(),
          level: z.string().nullable(),
        }),
      ),
      points: z.number().nullable(),
    }),
  ),
  /** The most points there are; null where levels have none. */
  mostPoints: z.number().nullable(),
  /** The slips of this assignment and of those made in the half-year before it, oldest first; this one is the last. */
  term: z.array(
    z.object({ assignment: z.string(), title: z.string(), madeAt: instant, slips: z.array(SlipSchema) }),
  ),
  /** The entries that brought comments, those that brought most first. */
  entriesPlaced: z.array(
    z.object({ entry: z.string(), title: z.string(), comments: z.number().int(), people: z.number().int() }),
  ),
  /** Comments written by hand in the same words on the work of several people. */
  writtenOften: z.array(z.object({ words: z.string(), people: z.array(z.string()) })),
});
export type ClassCounts = z.infer<typeof ClassCountsSchema>;

/** What one wrote beneath somebody's work before. */
const SummingUpSchema = z.object({
  /** Of which assignment, by its title. */
  assignment: z.string(),
  savedAt: instant,
  /** As plain text. */
  text: z.string(),
});
export type SummingUp = z.infer<typeof SummingUpSchema>;

/** What feedback can be asked for beside what all cases can. */
export const FEEDBACK_ROUTES = define({
  handIn: {
    method: 'put',
    path: '/api/cases/:case/submission',
    access: 'given',
    summary: 'Keeps what was handed in with a case, in place of what was there before.',
    status: 200,
    mostBytes: MOST_SUBMISSION_BYTES,
    body: HandedInSchema,
    response: CaseSubmissionSchema,
  },
  submission: {
    method: 'get',
    path: '/api/cases/:case/submission',
    access: 'given',
    atHand: 'case',
    summary: 'The submission of a case; null where none was handed in.',
    status: 200,
    response: CaseSubmissionSchema.nullable(),
  },
  othersComments: {
    method: 'get',
    path: '/api/cases/:case/comments',
    access: 'given',
    atHand: 'case',
    summary: 'The comments that other members, whom the case is given to, have on its submission.',
    status: 200,
    response: z.array(OthersCommentsSchema),
  },
  earlierSummingsUp: {
    method: 'get',
    path: '/api/cases/:case/summings-up',
    access: 'given',
    atHand: 'case',
    summary: 'What the member wrote beneath the same person’s work in other assignments, the newest first.',
    status: 200,
    response: z.array(SummingUpSchema),
  },
  assignments: {
    method: 'get',
    path: '/api/assignments',
    access: 'member',
    atHand: 'case',
    summary: 'The assignments given to the member, the newest first.',
    status: 200,
    response: z.array(AssignmentSchema),
  },
  makeAssignment: {
    method: 'post',
    path: '/api/assignments',
    access: 'member',
    summary: 'Makes an assignment, for the member and others.',
    status: 201,
    body: NewAssignmentSchema,
    response: AssignmentSchema,
  },
  assignment: {
    method: 'get',
    path: '/api/assignments/:assignment',
    access: 'given',
    atHand: 'case',
    summary: 'An assignment with its submissions.',
    status: 200,
    response: AssignmentSchema,
  },
  classCounts: {
    method: 'get',
    path: '/api/assignments/:assignment/counts',
    access: 'given',
    summary:
      'What the comments on the submissions of an assignment come to, and its slips beside those of the term.',
    status: 200,
    response: ClassCountsSchema,
  },
  changeAssignment: {
    method: 'put',
    path: '/api/assignments/:assignment',
    access: 'given',
    guarded: true,
    summary: 'Changes what is asked in an assignment, its people, and whom it is given to.',
    status: 200,
    body: AssignmentChangeSchema,
    response: AssignmentSchema,
  },
  assign: {
    method: 'post',
    path: '/api/assignments/:assignment/submissions',
    access: 'given',
    summary: 'Makes a case of somebody’s submission to an assignment, for all it is given to.',
    status: 201,
    body: AssignedInSchema,
    response: AssignmentSchema,
  },
});
