import type { Field, NumberField } from '#core/entry';
import type { AnswerProblem } from '#core/fill';

/** A unit as it is said of many: of "day|days" the second. */
const unitInWords = (unit: string): string => unit.split('|').at(-1)!.trim();

const DATE_HELP = '4 mar, 4/3/26, today, or days from now: +3, -10, +2w, +1m';

function rangeOf({ min, max, unit }: NumberField): string {
  const behind = unit && ` ${unitInWords(unit)}`;
  if (min !== null && max !== null) return `from ${min} to ${max}${behind}`;
  if (min !== null) return `${min}${behind} or more`;
  return max === null ? '' : `${max}${behind} or less`;
}

/** How the answer to a field can be typed; empty where anything is right. */
export function answerHelp(field: Field): string {
  switch (field.kind) {
    case 'date':
      return DATE_HELP;
    case 'time':
      return '930, 9:30, 2 pm or now';
    case 'number':
      return rangeOf(field) || (field.unit ? `in ${unitInWords(field.unit)}` : 'a number');
    default:
      return '';
  }
}

/** What is doubtful about an answer as it was typed. */
export function answerProblemInWords(code: AnswerProblem['code'], field: Field): string {
  switch (code) {
    case 'date-unread':
      return `Not a date yet. Type ${DATE_HELP}.`;
    case 'time-unread':
      return 'Not a time yet. Type 930, 9:30, 2 pm or now.';
    case 'number-unread':
      return 'Not a number yet. Type figures, such as 12 or 12.5.';
    case 'number-low':
    case 'number-high': {
      const range = field.kind === 'number' ? rangeOf(field) : '';
      return `It must be ${range}. It is not used in the sentence.`;
    }
    case 'date-future':
      return 'That day is still to come. Is that right?';
    case 'date-past':
      return 'That day is long past. Is that right?';
    case 'date-far':
      return 'That day is very far from today. Is that right?';
    case 'number-unlike':
      return 'That is very unlike the amount before it. Is that right?';
  }
}
