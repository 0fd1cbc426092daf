import type { Block } from './blocks';
import type { Inline } from './inlines';
import type { Passage } from './passage';
import { isLine } from './lines';

const isEmptyLine = (block: Block) =>
  isLine(block) && (block.content ?? []).every((inline) => inline.type === 'hardBreak');

/** Marks that leak off the words they were meant for: on nothing but spaces at a line's edge. */
function withoutLeaks(line: readonly Inline[]): Inline[] {
  const isSpace = (inline: Inline | undefined) => inline?.type === 'text' && inline.text.trim() === '';
  let last = line.length - 1;
  while (last >= 0 && isSpace(line[last])) last -= 1;
  const first = line.findIndex((inline) => !isSpace(inline));
  return line.map((inline, index) => {
    if (inline.type !== 'text' || (index >= first && index <= last)) return inline;
    return { type: 'text', text: inline.text };
  });
}

/**
 * Words cut out of a text, ready to be kept: empty paragraphs at either end go, and so do bold or links on
 * nothing but a space at the edge of a line. Spaces, tabs and breaks that stand between or after words stay.
 */
export function trimEdges(passage: Passage): Passage {
  const { content } = passage;
  let from = 0;
  let to = content.length;
  while (from < to && isEmptyLine(content[from]!)) from += 1;
  while (to > from && isEmptyLine(content[to - 1]!)) to -= 1;
  const kept = content.slice(from, to).map((block): Block => {
    if (!isLine(block) || !block.content) return block;
    return { ...block, content: withoutLeaks(block.content) };
  });
  return { type: 'doc', content: kept.length ? kept : [{ type: 'paragraph' }] };
}
