import { findDates } from '#core/calendar';
import { plainWord, searchWords } from '#core/finder';
import { lineText, linesOf, type Passage } from '#core/passage';

const HAS_DIGIT = /\p{N}/u;

/** A text without its written dates; most have no digit, and are not looked through. */
function withoutDates(text: string): string {
  if (!HAS_DIGIT.test(text)) return text;
  const dates = findDates(text);
  return dates.reduceRight((left, { from, to }) => `${left.slice(0, from)} ${left.slice(to)}`, text);
}

/**
 * The words that a wording is compared by, in their plain form and each once: without what is another in each case, which
 * are its blanks, dates, numbers and the `particulars` (plain words of names). Case, accents and punctuation do not count.
 */
export function comparedWords(
  passages: readonly Passage[],
  particulars: ReadonlySet<string> = new Set(),
): string[] {
  const words = new Set<string>();
  for (const passage of passages)
    for (const line of linesOf(passage))
      for (const written of searchWords(withoutDates(lineText(line)))) {
        const word = plainWord(written);
        if (!HAS_DIGIT.test(word) && !particulars.has(word)) words.add(word);
      }
  return [...words];
}
