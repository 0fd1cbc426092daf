import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { Answer, Placements } from '#core/draft';
import { refillLine } from '#core/fill';
import type { BlankInline, Inline } from '#core/passage';
import { placementsOf, setPlacements } from './placements';

/** A line cut at its blanks: the blanks, and the text before, between and after them ('\n' for a break). */
interface Cut {
  texts: string[];
  blanks: BlankInline[];
}

function cutAtBlanks(line: readonly Inline[]): Cut {
  const cut: Cut = { texts: [''], blanks: [] };
  for (const inline of line) {
    if (inline.type === 'blank') {
      cut.blanks.push(inline);
      cut.texts.push('');
    } else cut.texts[cut.texts.length - 1] += inline.type === 'text' ? inline.text : '\n';
  }
  return cut;
}

/** Changes one stretch of text to another by its differing middle alone, so that the rest keeps its marks. */
function changeText(tr: Transaction, from: number, before: string, after: string): void {
  if (before === after) return;
  let start = 0;
  while (start < before.length && before[start] === after[start]) start += 1;
  let end = 0;
  while (
    end < before.length - start &&
    end < after.length - start &&
    before.at(-1 - end) === after.at(-1 - end)
  )
    end += 1;
  tr.insertText(after.slice(start, after.length - end), from + start, from + before.length - end);
}

/**
 * Brings one paragraph's blanks up to date within a transaction. Attributes change in place, which keeps the
 * selection on the current blank; text changes only where a left-out blank takes or gives back its space.
 */
function refillBlock(tr: Transaction, block: EditorNode, pos: number, placements: Placements): void {
  const line = (block.toJSON() as { content?: Inline[] }).content ?? [];
  const filled = refillLine(line, placements);
  if (filled === line) return;
  const [before, after] = [cutAtBlanks(line), cutAtBlanks(filled)];
  const starts: number[] = [];
  let at = pos + 1;
  before.texts.forEach((text, index) => {
    starts.push(at);
    at += text.length + 1;
    const [old, fresh] = [before.blanks[index], after.blanks[index]];
    if (!old || !fresh) return;
    for (const key of ['text', 'state', 'dropped'] as const) {
      if (old.attrs[key] !== fresh.attrs[key]) tr.setNodeAttribute(at - 1, key, fresh.attrs[key]);
    }
  });
  for (let index = before.texts.length - 1; index >= 0; index -= 1) {
    changeText(tr, starts[index]!, before.texts[index]!, after.texts[index]!);
  }
}

/** Brings all paragraphs that hold blanks up to date with the placements the document carries. */
function refillAll(tr: Transaction): Transaction {
  const placements = placementsOf(tr.doc);
  const blocks: { node: EditorNode; pos: number }[] = [];
  tr.doc.descendants((node, pos) => {
    if (!node.isTextblock) return true;
    blocks.push({ node, pos });
    return false;
  });
  // From the end, so that positions of those still to come stay true.
  for (const { node, pos } of blocks.reverse()) refillBlock(tr, node, pos, placements);
  return tr;
}

/** A transaction that answers a field of a placement, or takes its answer away; what depends on it follows. */
export function answer(
  state: EditorState,
  placement: string,
  field: string,
  given: Answer | null,
): Transaction {
  const placements = placementsOf(state.doc);
  const placed = placements[placement];
  if (!placed) return state.tr;
  const { [field]: _old, ...others } = placed.answers;
  const answers = given ? { ...others, [field]: given } : others;
  return refillAll(setPlacements(state.tr, { ...placements, [placement]: { ...placed, answers } }));
}
