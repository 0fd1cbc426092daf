import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import { BY_HAND, readAnswer, typedForm, wordsOf } from '#core/fill';
import type { Value } from '#core/record';
import { answerHelp, answerProblemInWords } from '#client/answers';
import { clockNow } from '#client/clock';

interface Props {
  field: Field;
  given: Answer | undefined;
  language: string;
  /** What the record says, where it is a detail of it. */
  known: Value | undefined;
}

/** Beneath the question of a blank that is typed into: how it can be typed, how it was read, what is wrong. */
export function TypedHelp({ field, given, language, known }: Props) {
  const help = answerHelp(field);
  const isByHand = given?.kind === 'detail' && given.source === BY_HAND;
  const isUnread = field.kind === 'detail' && given?.kind === 'text';
  if (help === '' && !isByHand && !isUnread) return null;
  const { problem } = readAnswer(field, typedForm(field, given, language), clockNow(), language, known);
  if (problem) {
    return (
      <p role="alert" className="mt-1 text-[13px] text-rust">
        {answerProblemInWords(problem.code, field)}
      </p>
    );
  }
  if (help === '') return null;
  const read = wordsOf(field, given, field.kind === 'date' ? 'weekday' : 'as-is', language);
  return <p className="mt-1 text-[13px] text-soft">{read || help}</p>;
}
