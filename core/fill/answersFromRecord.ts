import type { CalendarDate } from '#core/calendar';
import type { Answers } from '#core/draft';
import type { Field } from '#core/entry';
import { lookUp, type CaseRecord } from '#core/record';

/**
 * The answers that can be given without asking: details the record holds, and starting answers of fields
 * that are not required. A required field never has an invented starting answer.
 */
export function answersFromRecord(
  fields: readonly Field[],
  record: CaseRecord,
  today: CalendarDate,
): Answers {
  const answers: Answers = {};
  for (const field of fields) {
    if (field.kind === 'detail') {
      const detail = lookUp(record, field.path, today);
      if (detail)
        answers[field.id] = { kind: 'detail', value: detail.value, source: detail.source, asOf: detail.asOf };
    } else if (field.kind === 'text' && field.starting !== '' && !field.required) {
      answers[field.id] = { kind: 'text', text: field.starting };
    }
  }
  return answers;
}
