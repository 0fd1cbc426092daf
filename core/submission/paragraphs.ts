import { comparePoints, countWords, MOST_COMMENTED, type TextRange } from '#core/passage';
import { wordsOfBlock, type Submission, type SubmissionBlock } from './submission';

/** What is counted as a paragraph: lines of the text itself, and not headings, notes or what stands in tables. */
const isCounted = (block: SubmissionBlock): boolean =>
  block.kind !== 'heading' && block.kind !== 'note' && !block.cell && wordsOfBlock(block).trim() !== '';

/** The number of each block as a paragraph, from 1; null for one that is not counted. */
export function paragraphNumbers({ blocks }: Submission): (number | null)[] {
  let last = 0;
  return blocks.map((block) => (isCounted(block) ? (last += 1) : null));
}

/** The number of the paragraph that a block is, or that stands nearest before it; 1 before the first. */
export function paragraphAt(numbers: readonly (number | null)[], block: number): number {
  for (let at = Math.min(block, numbers.length - 1); at >= 0; at -= 1) {
    const number = numbers[at];
    if (number !== null && number !== undefined) return number;
  }
  return 1;
}

/** The words of a block that count: those that somebody deleted, and marked so, do not. */
const countedWords = ({ spans }: SubmissionBlock): string =>
  spans.map((span) => ('text' in span && !span.marks?.includes('deleted') ? span.text : ' ')).join('');

/** How many words a submission has: its text with headings and tables, without its notes, and without what is tracked as deleted. */
export const wordsInSubmission = ({ blocks }: Submission): number =>
  blocks.reduce((sum, block) => (block.kind === 'note' ? sum : sum + countWords(countedWords(block))), 0);

/** The words of a stretch, blocks parted by a line end; of a long one as many as a comment keeps. */
export function wordsOn({ blocks }: Submission, { from, to }: TextRange): string {
  const words: string[] = [];
  let length = 0;
  for (let at = from.block; at <= to.block && at < blocks.length && length <= MOST_COMMENTED; at += 1) {
    const all = wordsOfBlock(blocks[at]!);
    const part = all.slice(at === from.block ? from.at : 0, at === to.block ? to.at : all.length);
    words.push(part);
    length += part.length + 1;
  }
  return words.join('\n').slice(0, MOST_COMMENTED);
}

/** Whether a stretch lies within a submission, and holds something. */
export function isWithin({ blocks }: Submission, { from, to }: TextRange): boolean {
  const last = blocks[to.block];
  const first = blocks[from.block];
  if (!first || !last || comparePoints(from, to) >= 0) return false;
  return from.at <= wordsOfBlock(first).length && to.at <= wordsOfBlock(last).length;
}
