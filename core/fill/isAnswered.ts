import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import { isNone } from './picking';

/** True when words may be typed as the answer, and stand as they are. */
const TAKES_WORDS: ReadonlySet<Field['kind']> = new Set(['text', 'detail', 'writer', 'computed']);

/** Words typed stand only where words are asked for: given to a date or a number they are what could not be read. */
export const typedWords = (field: Field, text: string): string =>
  TAKES_WORDS.has(field.kind) ? text.trim() : '';

/** True when an answer settles its field, be it that it puts down no words: "no" may mean to say nothing. */
export function isAnswered(field: Field, answer: Answer | undefined): answer is Answer {
  if (answer === undefined) return false;
  if (answer.kind === 'text') return typedWords(field, answer.text) !== '';
  if (answer.kind !== 'chosen' || field.kind !== 'choice') return true;
  if (isNone(answer)) return field.none !== undefined;
  const known = field.options.some(({ id }) => answer.options.includes(id));
  return known || (field.other === true && (answer.other ?? '').trim() !== '');
}
