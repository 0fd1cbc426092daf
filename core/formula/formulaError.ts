/** Where in a formula something is wrong: from the first character to after the last, counted from 0. */
export interface FormulaSpan {
  from: number;
  to: number;
}

/** What can be wrong with a formula: a code, the place, and what the words need. */
export type FormulaError = FormulaSpan &
  (
    | { code: 'syntax'; wanted: string; found: string }
    | { code: 'unknown-name'; name: string }
    | { code: 'unknown-function'; name: string; near: string | null }
    | { code: 'argument-count'; name: string; least: number; most: number; given: number }
    | { code: 'wrong-kind'; wanted: ValueKind; found: ValueKind }
    | { code: 'missing'; field: string; name: string }
    | { code: 'units-differ'; wanted: string; found: string }
    | { code: 'unit-by-hand'; wanted: string; found: string }
    | { code: 'division-by-zero' | 'no-such-date' | 'no-such-number' | 'too-long' | 'too-deep' | 'not-found' }
  );

/** The kinds a value can be of. */
export type ValueKind = 'number' | 'text' | 'date' | 'yes-no' | 'list' | 'empty';

const KINDS: Record<ValueKind, string> = {
  number: 'a number',
  text: 'words',
  date: 'a date',
  'yes-no': 'yes or no',
  list: 'a list',
  empty: 'nothing',
};

/** What is said of errors that say nothing more. */
const PLAIN = {
  'division-by-zero': 'This divides by zero.',
  'no-such-date': 'There is no such date.',
  'no-such-number': 'This does not give a number.',
  'too-long': 'This is too long.',
  'too-deep': 'Too many brackets are nested.',
  'not-found': 'It is not found.',
} as const;

const counted = (count: number) => (count === 1 ? 'one value' : `${count} values`);

function countWords(least: number, most: number): string {
  if (most === Infinity) return `${counted(least)} or more`;
  return least === most ? counted(least) : `${least} to ${most} values`;
}

/** An error in words for people; the place is shown by whoever shows them. */
export function formulaErrorInWords(error: FormulaError): string {
  switch (error.code) {
    case 'syntax':
      return error.found === ''
        ? `The formula ends where ${error.wanted} should stand.`
        : `Expected ${error.wanted} here, but found “${error.found}”.`;
    case 'unknown-name':
      return `There is no field called “${error.name}”.`;
    case 'unknown-function':
      return `There is no function ${error.name}.${error.near ? ` Is ${error.near} meant?` : ''}`;
    case 'argument-count':
      return `${error.name} takes ${countWords(error.least, error.most)}; ${error.given === 1 ? 'one is' : `${error.given} are`} given.`;
    case 'wrong-kind':
      return `Expected ${KINDS[error.wanted]} here, but found ${KINDS[error.found]}.`;
    case 'missing':
      return `“${error.name}” has no answer yet.`;
    case 'units-differ':
      return error.wanted === ''
        ? `Amounts in ${error.found} cannot be used here.`
        : `This is in ${error.found}, which is not an amount in ${error.wanted}.`;
    case 'unit-by-hand':
      return `An amount in ${error.found} is multiplied or divided here. For ${error.wanted}, write CONVERT(…; "${error.wanted}") first.`;
    default:
      return PLAIN[error.code];
  }
}

/** Thrown inside the folder only, and caught at its face: an error deep in an expression ends all of it. */
export class FormulaFault extends Error {
  constructor(readonly fault: FormulaError) {
    super(fault.code);
  }
}
