import type { Answer } from '#core/draft';
import type { Field, NumberField } from '#core/entry';
import { readAnswer, typedForm, wordsOf, type AnswerProblem } from '#core/fill';
import { clockNow } from '../clock/calendarToday';

const DATE_HELP = '4 mar, 4/3/26, today, or days from now: +3, -10, +2w, +1m';

function rangeOf({ min, max, unit }: NumberField): string {
  const behind = unit && ` ${unit}`;
  if (min !== null && max !== null) return `from ${min} to ${max}${behind}`;
  if (min !== null) return `${min}${behind} or more`;
  return max === null ? '' : `${max}${behind} or less`;
}

function helpFor(field: Field): string {
  switch (field.kind) {
    case 'date':
      return DATE_HELP;
    case 'time':
      return '930, 9:30, 2 pm or now';
    case 'number':
      return rangeOf(field) || (field.unit ? `in ${field.unit}` : 'a number');
    default:
      return '';
  }
}

function problemWords(code: AnswerProblem['code'], field: Field): string {
  switch (code) {
    case 'date-unread':
      return `That is no date yet. Type ${DATE_HELP}.`;
    case 'time-unread':
      return 'That is no time yet. Type 930, 9:30, 2 pm or now.';
    case 'number-unread':
      return 'That is no number yet. Type figures, such as 12 or 12.5.';
    case 'number-low':
    case 'number-high': {
      const range = field.kind === 'number' ? rangeOf(field) : '';
      return `It must be ${range}. What you typed is kept, but does not stand in the sentence.`;
    }
    case 'date-far':
      return 'That is more than forty years from today. Is it meant?';
  }
}

interface Props {
  field: Field;
  given: Answer | undefined;
  language: string;
}

/** Beneath the question of a blank that is typed into: how it can be typed, how it was read, what is wrong. */
export function TypedHelp({ field, given, language }: Props) {
  const help = helpFor(field);
  if (help === '') return null;
  const { problem } = readAnswer(field, typedForm(field, given, language), clockNow(), language);
  if (problem) {
    return (
      <p role="alert" className="mt-1 text-[13px] text-rust">
        {problemWords(problem.code, field)}
      </p>
    );
  }
  const read = wordsOf(field, given, field.kind === 'date' ? 'weekday' : 'as-is', language);
  return <p className="mt-1 text-[13px] text-soft">{read || help}</p>;
}
