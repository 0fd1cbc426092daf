import type { CalendarDate } from '#core/calendar';
import { isSame } from '#core/difference';
import type { Answer, Placement } from '#core/draft';
import type { CaseRecord } from '#core/record';
import { answersFromRecord } from './answersFromRecord';
import { BY_HAND } from './readAnswer';

/** What counts of an answer: its words, not where they came from. */
const meant = (answer: Answer | undefined): unknown =>
  answer?.kind === 'detail' ? answer.value : answer?.kind === 'person' ? answer.person : null;

/** Whether a person gave the answer in place of what the record says, or since it says nothing. */
export const isByHand = (answer: Answer | undefined): boolean =>
  (answer?.kind === 'detail' && answer.source === BY_HAND) || (answer?.kind === 'person' && !answer.known);

/**
 * The answers of a placement that follow a record that was corrected, by field; null where the record says nothing any more.
 * Those that rest on what was corrected and still say what the record said before: what was typed over stays as it was typed.
 */
export function followedAnswers(
  { fields, answers, language }: Pick<Placement, 'fields' | 'answers' | 'language'>,
  before: CaseRecord,
  now: CaseRecord,
  today: CalendarDate,
): Record<string, Answer | null> {
  const resting = fields.filter(({ kind }) => kind === 'detail' || kind === 'person');
  const then = answersFromRecord(resting, { record: before, today, language });
  const next = answersFromRecord(resting, { record: now, today, language });
  return Object.fromEntries(
    resting.flatMap(({ id }): [string, Answer | null][] => {
      const given = answers[id];
      if (isByHand(given) || isSame(meant(then[id]), meant(next[id]))) return [];
      return isSame(meant(given), meant(then[id])) ? [[id, next[id] ?? null]] : [];
    }),
  );
}
