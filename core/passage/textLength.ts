import { z } from 'zod';
import { linesOf } from './lines';
import type { Passage } from './passage';
import { plainText, textOfInlines } from './plainText';

/** How long a text may be at the most. */
export const TextLimitSchema = z.object({
  most: z.number().int().min(1, 'at least 1').max(1_000_000, 'at most 1,000,000'),
  of: z.enum(['words', 'characters']),
});
export type TextLimit = z.infer<typeof TextLimitSchema>;

/** What parts words: white space, and the dashes that stand between words without it. */
const BETWEEN = /[\s–—]+/u;
/** A piece of marks alone is no word: a lone hyphen, three points. An ampersand is read as one. */
const SAID = /[^\p{P}]|&/u;

/**
 * How many words a text has, as word processors count them on prose: runs between white space or dashes that hold more than marks.
 * On prose without free-standing dashes or marks it is what `wc -w` counts.
 */
export const countWords = (text: string): number =>
  text.split(BETWEEN).filter((piece) => SAID.test(piece)).length;

/**
 * How long a passage is, in words or characters. Words are those of its lines, without the numbers and signs of lists; characters are
 * those of its plain text as it is copied, an emoji or a letter with its accent as the code points it is written with.
 */
export function lengthOf(passage: Passage, of: TextLimit['of']): number {
  if (of === 'characters') return [...plainText(passage)].length;
  return linesOf(passage).reduce((sum, line) => sum + countWords(textOfInlines(line)), 0);
}
