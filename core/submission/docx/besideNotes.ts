import type { TextPoint, TextRange } from '#core/passage';
import { wordsOn } from '../paragraphs';
import { wordsOfBlock, type Submission } from '../submission';
import type { DocxComment } from './commentXml';

/** The number of a note, as it stands in the text; null where it stands nowhere. */
function referenceTo({ blocks }: Submission, label: string): TextRange | null {
  for (const [block, { kind, spans }] of blocks.entries()) {
    if (kind === 'note') continue;
    let at = 0;
    for (const span of spans) {
      const length = 'text' in span ? span.text.length : 1;
      if ('place' in span && span.place === 'note' && span.name === label)
        return { from: { block, at }, to: { block, at: at + length } };
      at += length;
    }
  }
  return null;
}

/** The end of the text, before its notes. */
function endOfText({ blocks }: Submission): TextPoint {
  const block = Math.max(
    0,
    blocks.findLastIndex(({ kind }) => kind !== 'note'),
  );
  return { block, at: blocks[block] ? wordsOfBlock(blocks[block]).length : 0 };
}

/** The words of a note that a comment is on, before the comment itself. */
function quoted({ passage }: DocxComment, label: string, words: string): DocxComment['passage'] {
  const text = `${label} “${words.replace(/\s+/g, ' ').trim()}”`.trim();
  return {
    ...passage,
    content: [{ type: 'paragraph', content: [{ type: 'text', text }] }, ...passage.content],
  };
}

/**
 * Comments with none in a footnote or endnote: the format has no place for one there, and some programs do not open a file that has one.
 * A comment on a note stands on its number in the text, and begins with the note's words; one that reaches from the text into the
 * notes ends with the text.
 */
export function besideNotes(submission: Submission, comments: readonly DocxComment[]): DocxComment[] {
  const isNote = ({ block }: TextPoint) => submission.blocks[block]?.kind === 'note';
  return comments.map((comment) => {
    const { from, to } = comment.on;
    if (!isNote(from)) return isNote(to) ? { ...comment, on: { from, to: endOfText(submission) } } : comment;
    // A note of several paragraphs has its number before the first.
    const label =
      submission.blocks.slice(0, from.block + 1).findLast((one) => one.label !== undefined)?.label ?? '';
    const end = endOfText(submission);
    const on = referenceTo(submission, label) ?? { from: { ...end, at: Math.max(0, end.at - 1) }, to: end };
    return { ...comment, on, passage: quoted(comment, label, wordsOn(submission, comment.on)) };
  });
}
