import { z } from 'zod';

/** Every kind of error the API answers with, and its short title; the interface and the tests share the codes. */
export const PROBLEM_TITLES = {
  'bad-request': 'The request could not be understood',
  'not-valid': 'Something in what was sent is not right',
  'not-signed-in': 'You are not signed in',
  'wrong-password': 'The email or the password is not right',
  'not-allowed': 'You may not do this',
  'not-found': 'There is nothing here',
  'cue-taken': 'That cue is taken',
  'moved-on': 'Someone else saved it meanwhile',
  'not-finished': 'The draft is not complete',
  doubtful: 'There is something to look at before it is sent',
  'link-used': 'This link no longer works',
  'already-begun': 'This team already has an owner',
  'too-large': 'That is too large',
  'too-many': 'Too many tries',
  'wrong-origin': 'The request came from another site',
  'disk-full': 'The disk is full',
  'not-sent': 'The email could not be sent',
  'not-fhir': 'The file could not be read as a case',
  internal: 'Something went wrong here',
} as const;
/** The code of an error, by which pages and tests know it. */
export type ProblemCode = keyof typeof PROBLEM_TITLES;

/** An RFC 9457 problem document, with the members Elderleaf adds to it. */
export const ProblemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  code: z.string(),
  // Where in what was sent, and what was wrong there.
  faults: z.array(z.object({ place: z.string(), message: z.string() })).optional(),
  // With `moved-on`: what stands there now.
  current: z.unknown().optional(),
  // With `cue-taken`: a free one.
  proposed: z.string().optional(),
});
export type Problem = z.infer<typeof ProblemSchema>;
