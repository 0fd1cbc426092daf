import {
  daysBetween,
  readDate,
  readTime,
  timeInWords,
  type CalendarDate,
  type TimeOfDay,
} from '#core/calendar';
import type { Answer } from '#core/draft';
import type { Field, NumberField } from '#core/entry';
import { readNumber } from '#core/language';
import { figures, valueInWords } from '#core/record';

/** The day and the time where the writer is. */
export interface Clock {
  today: CalendarDate;
  now: TimeOfDay;
}

/** Something doubtful about what was typed: `unread` leaves a gap, the others let it stand. */
export interface AnswerProblem {
  code: 'date-unread' | 'time-unread' | 'number-unread' | 'number-low' | 'number-high' | 'date-far';
  unread: boolean;
}

/** What was typed as an answer, and what is doubtful about it. No answer at all when nothing was typed. */
export interface ReadAnswer {
  answer: Answer | null;
  problem: AnswerProblem | null;
}

/** A date further from today than this many days is more often a slip than meant. */
const FAR_DAYS = 366 * 40;

const unread = (text: string, code: AnswerProblem['code']): ReadAnswer => ({
  answer: { kind: 'text', text },
  problem: { code, unread: true },
});

function readNumberAnswer(field: NumberField, typed: string, language: string): ReadAnswer {
  const value = readNumber(typed, language, field.unit);
  if (value === null) return unread(typed, 'number-unread');
  if (field.min !== null && value < field.min) return unread(typed, 'number-low');
  if (field.max !== null && value > field.max) return unread(typed, 'number-high');
  return { answer: { kind: 'number', value }, problem: null };
}

/**
 * Reads what was typed into a blank by the kind of its field. What cannot be read, or is outside the field's
 * range, is kept as it was typed, with the problem: nothing typed is ever lost, and no wrong value stands.
 */
export function readAnswer(field: Field, typed: string, clock: Clock, language: string): ReadAnswer {
  if (typed.trim() === '') return { answer: null, problem: null };
  switch (field.kind) {
    case 'date': {
      const date = readDate(typed, clock.today, language);
      if (!date) return unread(typed, 'date-unread');
      const far = Math.abs(daysBetween(date, clock.today)) > FAR_DAYS;
      return { answer: { kind: 'date', date }, problem: far ? { code: 'date-far', unread: false } : null };
    }
    case 'time': {
      const time = readTime(typed, clock.now);
      return time ? { answer: { kind: 'time', time }, problem: null } : unread(typed, 'time-unread');
    }
    case 'number':
      return readNumberAnswer(field, typed, language);
    default:
      return { answer: { kind: 'text', text: typed }, problem: null };
  }
}

/** An answer as it is typed again: what `readAnswer` reads back as the same. '' for what is picked, not typed. */
export function typedForm(field: Field, answer: Answer | undefined, language: string): string {
  switch (answer?.kind) {
    case 'text':
      return answer.text;
    case 'date':
      return valueInWords(answer, language, 'long');
    case 'time':
      return timeInWords(answer.time, '24');
    case 'number':
      return figures(answer.value, language, field.kind === 'number' ? field.decimals : null);
    case 'detail':
      return valueInWords(answer.value, language, 'long');
    default:
      return '';
  }
}
