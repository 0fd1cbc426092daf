import type { Field } from '#core/entry';
import type { BlankForm } from '#core/passage';
import type { Knowledge } from './knowledge';
import { wordsOf } from './wordsOf';

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
  /** Whether a sentence begins with it. */
  begins: boolean;
}

/** Stands for any plain answer while a line is made ready. */
export const PLAIN_WORD = 'x';

const isDigit = (code: number) => code >= 0x30 && code <= 0x39;
const isSmall = (code: number) => code >= 0x61 && code <= 0x7a;
const isCapital = (code: number) => code >= 0x41 && code <= 0x5a;

/** Whether words are a plain answer that stands in a blank as it is: no capital is to be given to it either. */
function isPlain(words: string, begins: boolean): boolean {
  if (words === '') return false;
  const first = words.charCodeAt(0);
  if (!isCapital(first) && !isDigit(first) && (begins || !isSmall(first))) return false;
  const last = words.charCodeAt(words.length - 1);
  return (isSmall(last) || isDigit(last) || isCapital(last)) && !words.includes('\n');
}

/** The words of a line, where all its answers are plain; null where one is not, or where nothing is written at all. */
export function fillPlainly({ between, blanks }: PlainLine, know: Knowledge): string | null {
  let all = between[0]!;
  for (let at = 0; at < blanks.length; at += 1) {
    const { field, form, begins } = blanks[at]!;
    const words = wordsOf(field, know.answerTo(field), form, know.language, know);
    if (!isPlain(words, begins)) return null;
    all += words + between[at + 1]!;
  }
  return all === '' ? null : all;
}
