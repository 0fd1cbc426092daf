import { readDate, readTime, timeInWords, type CalendarDate, type TimeOfDay } from '#core/calendar';
import type { Answer } from '#core/draft';
import type { Field, NumberField } from '#core/entry';
import { readNumber } from '#core/language';
import { figures, isUnlike, readAmount, valueInWords, type Value } from '#core/record';
import { converted } from '#core/units';
import { dayDoubt, type DayDoubt } from './plausible';

/** The day and the time where the writer is. */
export interface Clock {
  today: CalendarDate;
  now: TimeOfDay;
}

/** Something doubtful about what was typed: `unread` leaves a gap, the others let it stand. */
export interface AnswerProblem {
  code:
    | 'date-unread'
    | 'time-unread'
    | 'number-unread'
    | 'number-low'
    | 'number-high'
    | 'number-unlike'
    | DayDoubt;
  unread: boolean;
}

/** What was typed as an answer, and what is doubtful about it. No answer at all when nothing was typed. */
export interface ReadAnswer {
  answer: Answer | null;
  problem: AnswerProblem | null;
}

/** Where an answer comes from that was given in place of the record's. */
export const BY_HAND = 'typed here';

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

/** A detail of the record given by hand: of the kind that the record's is. */
function readByHand(typed: string, clock: Clock, language: string, known: Value | undefined): ReadAnswer {
  const given = (value: Value): Answer => ({ kind: 'detail', value, source: BY_HAND, asOf: clock.today });
  if (known?.kind === 'date') {
    const date = readDate(typed, clock.today, language);
    return date ? { answer: given({ kind: 'date', date }), problem: null } : unread(typed, 'date-unread');
  }
  if (known?.kind !== 'quantity') return { answer: { kind: 'text', text: typed }, problem: null };
  const amount = readAmount(typed, known.unit, language);
  if (!amount) return unread(typed, 'number-unread');
  const before = converted(known.value, known.unit, amount.unit);
  const unlike = before !== null && isUnlike(amount.value, before);
  return { answer: given(amount), problem: unlike ? { code: 'number-unlike', unread: false } : null };
}

/**
 * Reads what was typed into a blank by the kind of its field. What cannot be read, or is outside the field's
 * range, is kept as it was typed, with the problem: nothing typed is ever lost, and no wrong value stands. `known` is what the
 * record says: given another value by hand, it stays an amount of its unit, or a day.
 */
export function readAnswer(
  field: Field,
  typed: string,
  clock: Clock,
  language: string,
  known?: Value,
): ReadAnswer {
  if (typed.trim() === '') return { answer: null, problem: null };
  switch (field.kind) {
    case 'date': {
      const date = readDate(typed, clock.today, language);
      if (!date) return unread(typed, 'date-unread');
      const doubt = dayDoubt(field, date, clock.today);
      return { answer: { kind: 'date', date }, problem: doubt && { code: doubt, unread: false } };
    }
    case 'time': {
      const time = readTime(typed, clock.now);
      return time ? { answer: { kind: 'time', time }, problem: null } : unread(typed, 'time-unread');
    }
    case 'number':
      return readNumberAnswer(field, typed, language);
    case 'detail':
      return readByHand(typed, clock, language, known);
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
