import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import type { BlankForm } from '#core/passage';
import type { Knowledge } from './knowledge';
import { askedBy, isPlain, type Asked, type PlainRecord } from './plainRecord';
import { reshapes, wordsOf } from './wordsOf';

/**
 * A line as it stands around answers that are plain: that begin and end with a letter or digit of English and are of one
 * line, as nearly all are. Beside one of them the same spaces, marks and capitals are mended as beside any other, so that
 * it is done once, and a filling only puts words between words.
 */
export interface PlainLine {
  /** What is written before, between and after its blanks: one more than there are blanks. */
  between: readonly string[];
  blanks: readonly PlainBlank[];
}

interface PlainBlank {
  field: Field;
  form: BlankForm;
  /** Where its field stands among those of the wording. */
  at: number;
  /** What it takes from the record where nothing was given; null for a blank of another kind. */
  asked: Asked | null;
  /** Whether what is typed goes into it as it is. */
  isTyped: boolean;
  /** Whether a sentence begins with it. */
  begins: boolean;
}

/** A blank of a plain line; `at`: where its field stands among those of the wording. */
export const plainBlank = (field: Field, form: BlankForm, at: number, begins: boolean): PlainBlank => ({
  field,
  form,
  at,
  asked: askedBy(field, form),
  isTyped: field.kind === 'text' && !reshapes(form),
  begins,
});

/** What plain lines are filled from. */
export interface PlainAnswers {
  know: Knowledge;
  record: PlainRecord;
  /** What was given, each answer where its field stands among those of the wording. */
  given: readonly (Answer | undefined)[];
}

/** Stands for any plain answer while a line is made ready. */
export const PLAIN_WORD = 'x';

/** The words of a blank; null where they are no plain answer. */
function plainWordsOf(blank: PlainBlank, { know, given, record }: PlainAnswers): string | null {
  const { field, form, asked, isTyped, begins } = blank;
  const own = given[blank.at];
  if (own === undefined && asked !== null) {
    const found = record.wordsFor(asked);
    if (found !== null) return (begins ? found.isPlainBeginning : found.isPlainWithin) ? found.words : null;
  }
  // Nothing is to be trimmed of typed words that are plain as they are.
  if (isTyped && own?.kind === 'text' && isPlain(own.text, begins)) return own.text;
  const words = wordsOf(field, own ?? know.answerTo(field), form, know.language, know);
  return isPlain(words, begins) ? words : null;
}

/** The words of a line, where all its answers are plain; null where one is not, or where nothing is written at all. */
export function fillPlainly({ between, blanks }: PlainLine, answers: PlainAnswers): string | null {
  let all = between[0]!;
  for (let at = 0; at < blanks.length; at += 1) {
    const words = plainWordsOf(blanks[at]!, answers);
    if (words === null) return null;
    all += words + between[at + 1]!;
  }
  return all === '' ? null : all;
}
