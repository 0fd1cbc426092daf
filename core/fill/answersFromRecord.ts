import type { CalendarDate } from '#core/calendar';
import type { Answer, Answers } from '#core/draft';
import type { Field } from '#core/entry';
import type { Person } from '#core/language';
import { lookUp, type CaseRecord } from '#core/record';

/** How the record's sex is spoken of; null where it does not say, since then it must be asked. */
function personOf(record: CaseRecord, today: CalendarDate): Person | null {
  const sex = lookUp(record, 'sex', today)?.value;
  if (sex?.kind !== 'text') return null;
  if (/^female/i.test(sex.text)) return 'she';
  return /^male/i.test(sex.text) ? 'he' : null;
}

/**
 * The answer a field gets without being asked: a detail the record holds, how its sex is
 * spoken of, or the starting answer of a field
 * that is not required. A required field never has an invented starting answer.
 */
export function answerFromRecord(field: Field, record: CaseRecord, today: CalendarDate): Answer | undefined {
  if (field.kind === 'detail') {
    const detail = lookUp(record, field.path, today);
    return detail
      ? { kind: 'detail', value: detail.value, source: detail.source, asOf: detail.asOf }
      : undefined;
  }
  if (field.kind === 'person') {
    const person = personOf(record, today);
    return person ? { kind: 'person', person, known: true } : undefined;
  }
  if (field.kind === 'text' && field.starting !== '' && !field.required) {
    return { kind: 'text', text: field.starting };
  }
  if (field.kind === 'date' && field.starting === 'today' && !field.required) {
    return { kind: 'date', date: today };
  }
  return undefined;
}

/** All answers that can be given without asking, by field. */
export function answersFromRecord(
  fields: readonly Field[],
  record: CaseRecord,
  today: CalendarDate,
): Answers {
  const answers: Answers = {};
  for (const field of fields) {
    const answer = answerFromRecord(field, record, today);
    if (answer) answers[field.id] = answer;
  }
  return answers;
}
