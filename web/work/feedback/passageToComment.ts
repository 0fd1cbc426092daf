import { comparePoints, type TextRange } from '#core/passage';
import { sentenceAround, wordsOfBlock, type Submission } from '#core/submission';

/** The block nearest to one that holds words: itself, one before it, else one behind it. */
function nearestWords({ blocks }: Submission, block: number): number {
  const has = (at: number) => wordsOfBlock(blocks[at]!).trim() !== '';
  for (let at = Math.min(block, blocks.length - 1); at >= 0; at -= 1) if (has(at)) return at;
  const behind = blocks.findIndex((_one, at) => at > block && has(at));
  return Math.max(0, behind);
}

/** A stretch without the space at its ends. */
function withoutSpace({ blocks }: Submission, range: TextRange): TextRange {
  let { from, to } = range;
  const words = (block: number) => (blocks[block] ? wordsOfBlock(blocks[block]) : '');
  const isSpace = (block: number, at: number) => /^\s?$/.test(words(block).charAt(at));
  while (comparePoints(from, to) < 0 && isSpace(from.block, from.at))
    from =
      from.at < words(from.block).length ? { ...from, at: from.at + 1 } : { block: from.block + 1, at: 0 };
  while (comparePoints(from, to) < 0 && (to.at === 0 || isSpace(to.block, to.at - 1)))
    to = to.at > 0 ? { ...to, at: to.at - 1 } : { block: to.block - 1, at: words(to.block - 1).length };
  return { from, to };
}

/** What a comment that is begun here is on: the selection without the space around it; with none the sentence at the caret. */
export function passageToComment(submission: Submission, selected: TextRange, language: string): TextRange {
  const range = withoutSpace(submission, selected);
  if (comparePoints(range.from, range.to) < 0) return range;
  if (submission.blocks.length === 0) return { from: { block: 0, at: 0 }, to: { block: 0, at: 0 } };
  const block = nearestWords(submission, selected.from.block);
  const words = wordsOfBlock(submission.blocks[block]!);
  const at =
    block === selected.from.block ? selected.from.at : block < selected.from.block ? words.length : 0;
  const sentence = sentenceAround(words, at, language);
  return { from: { block, at: sentence.from }, to: { block, at: sentence.to } };
}
