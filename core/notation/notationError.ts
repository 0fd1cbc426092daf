/** Where in a notation something is wrong, and what. Lines and columns count from 1. */
export type NotationError = { line: number; column: number } & NotationFaultKind;

/** What can be wrong: a code, and what its words need. */
type NotationFaultKind =
  | {
      code: 'line-unknown' | 'kind-unknown' | 'field-unknown' | 'form-unknown' | 'bracket-unknown';
      found: string;
    }
  | { code: 'condition-unknown' | 'test-unknown' | 'step-unknown'; found: string }
  | { code: 'wanted'; wanted: string; found: string }
  | { code: 'not-closed' | 'closed-crosswise' | 'not-open'; found: string }
  | { code: 'not-valid'; message: string }
  | { code: 'too-deep' | 'no-wording' | 'escape-unfinished' };

type Words = {
  [Code in NotationError['code']]: (error: NotationError & { code: Code }) => string;
};

const TESTS = 'is, is not, is answered, is unanswered, is over, is at least, is under, is at most';

/** The words of each error; a table, so that none is forgotten. */
const WORDS: Words = {
  'line-unknown': ({ found }) => `No line may begin with “${found}” here.`,
  'kind-unknown': ({ found }) => `“${found}” is not a kind of field.`,
  'field-unknown': ({ found }) => `There is no field called “${found}”.`,
  'form-unknown': ({ found }) => `A blank or number has no form “${found}”.`,
  'bracket-unknown': ({ found }) => `“[${found}” means nothing. Write \\[ for the bracket itself.`,
  'condition-unknown': ({ found }) => `There is no condition called “${found}”.`,
  'test-unknown': ({ found }) => `“${found}” is not a test. There are ${TESTS}.`,
  'step-unknown': ({ found }) =>
    `“${found}” is not a step. There are days, workdays, weeks, months and years.`,
  wanted: ({ wanted, found }) =>
    found === '' ? `Expected ${wanted} here.` : `Expected ${wanted} here, but found “${found}”.`,
  'not-closed': ({ found }) => `“${found}” is opened here and never closed.`,
  'closed-crosswise': ({ found }) => `“${found}” closes here while something opened after it is still open.`,
  'not-open': ({ found }) => `“${found}” closes nothing. Write \\${found} for the character itself.`,
  'not-valid': ({ message }) => message,
  'too-deep': () => 'Too much is nested here.',
  'no-wording': () => 'There is no wording: a line such as “== wording Main” begins one.',
  'escape-unfinished': () => 'A backslash ends the line. Write \\\\ for the backslash itself.',
};

/** An error in words for people; who shows them shows the place too. */
export function notationErrorInWords(error: NotationError): string {
  return (WORDS[error.code] as (error: NotationError) => string)(error);
}

/** Thrown inside the folder only, and caught at its face: the first error ends the reading. */
export class NotationFault extends Error {
  constructor(readonly fault: NotationError) {
    super(fault.code);
  }
}
