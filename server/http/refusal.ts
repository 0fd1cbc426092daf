import { PROBLEM_TITLES, type Problem, type ProblemCode } from '#contracts';

const STATUS: Record<ProblemCode, number> = {
  'bad-request': 400,
  'not-valid': 422,
  'not-signed-in': 401,
  'wrong-password': 401,
  'not-allowed': 403,
  'not-found': 404,
  'cue-taken': 409,
  'moved-on': 412,
  'not-finished': 409,
  doubtful: 409,
  'link-used': 410,
  'already-begun': 409,
  'too-large': 413,
  'too-many': 429,
  'wrong-origin': 403,
  'not-fhir': 422,
  'disk-full': 507,
  'not-sent': 502,
  internal: 500,
};

/** A request refused, as an error to throw from a handler; it becomes an RFC 9457 problem document. */
export class Refusal extends Error {
  constructor(
    readonly code: ProblemCode,
    detail: string,
    readonly extra: Pick<Problem, 'faults' | 'current' | 'proposed'> = {},
  ) {
    super(detail);
  }

  /** The document to send. */
  toProblem(): Problem {
    return {
      type: `urn:elderleaf:problem:${this.code}`,
      title: PROBLEM_TITLES[this.code],
      status: STATUS[this.code],
      detail: this.message,
      code: this.code,
      ...this.extra,
    };
  }
}

/** The refusal for what does not exist, or does not exist for this member: the two must not differ. */
export const notFound = () =>
  new Refusal('not-found', 'It may have been removed, or it was not given to you.');
