import { placementOf, type DraftDocument } from '#core/draft';
import { linesOf } from '#core/passage';

/** What of a draft was written by hand: the runs of words between what came from the bank, and line by line. */
export function byHand(draft: DraftDocument): string[] {
  return linesOf(draft).flatMap((line) => {
    const runs = [''];
    for (const inline of line) {
      if (inline.type === 'text' && placementOf(inline) === null) runs[runs.length - 1] += inline.text;
      // A break of the line is no break of the words.
      else if (inline.type === 'hardBreak') runs[runs.length - 1] += '\n';
      else if (runs.at(-1) !== '') runs.push('');
    }
    return runs.filter((run) => run.trim() !== '');
  });
}
