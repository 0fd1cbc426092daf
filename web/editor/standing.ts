import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState } from '@tiptap/pm/state';
import { Transform } from '@tiptap/pm/transform';
import { linesOf, mapLines, type Inline, type Passage } from '#core/passage';
import { placementRange } from './blanks';
import { placementsOf } from './placements';

/** A placement as it stands in a document. */

/**
 * From where to where a placement reaches in the text that it was placed into: outside the boxes, else in the first box that its
 * other parts did not go to. Null when it has words nowhere else.
 */
export function bodyRange(doc: EditorNode, placement: string): { from: number; to: number } | null {
  const parts = placementsOf(doc)[placement]?.parts ?? [];
  let outside: { from: number; to: number } | null = null;
  let inBox: { from: number; to: number } | null = null;
  doc.forEach((block, pos) => {
    const isBox = block.type.name === 'box';
    if (isBox && (inBox || parts.includes(String(block.attrs.name)))) return;
    const found = placementRange(block, placement);
    if (!found) return;
    const range = { from: pos + 1 + found.from, to: pos + 1 + found.to };
    if (isBox) inBox = range;
    else outside = { from: outside?.from ?? range.from, to: range.to };
  });
  return outside ?? inBox;
}

/** Whether paragraphs may stand in a node: not right within a list or a table. */
const holdsBlocks = ({ type }: EditorNode): boolean =>
  type.contentMatch.matchType(type.schema.nodes.paragraph!) !== null;

/** How deep the line, or else what holds blocks, lies in which both places stand. */
function sharedDepth(doc: EditorNode, from: number, to: number): number {
  const $from = doc.resolve(from);
  let depth = $from.sharedDepth(to);
  if ($from.node(depth).isTextblock) return depth;
  while (!holdsBlocks($from.node(depth))) depth -= 1;
  return depth;
}

/**
 * What stands between two places of a draft, as a passage of its own, whatever it stands in: a stretch of one line is a
 * paragraph, be it of a heading or in a list.
 */
function passageBetween(doc: EditorNode, from: number, to: number): Passage {
  const $from = doc.resolve(from);
  const depth = sharedDepth(doc, from, to);
  const start = $from.start(depth);
  const { content } = $from.node(depth).cut(from - start, to - start);
  if (!$from.node(depth).isTextblock) return { type: 'doc', content: content.toJSON() as Passage['content'] };
  const line = content.toJSON() as Inline[] | null;
  return { type: 'doc', content: [{ type: 'paragraph', ...(line && { content: line }) }] };
}

/** A stretch of several blocks with the blocks themselves, where nothing else stands in the first and the last of them. */
export function withItsBlocks(
  doc: EditorNode,
  { from, to }: { from: number; to: number },
): { from: number; to: number } {
  const [$from, $to] = [doc.resolve(from), doc.resolve(to)];
  const depth = sharedDepth(doc, from, to);
  if ($from.node(depth).isTextblock) return { from, to };
  const [start, end] = [$from.before(depth + 1), $to.after(depth + 1)];
  const stands = (a: number, b: number) => doc.textBetween(a, b, '', '\uFFFC');
  return stands(start, from) + stands(to, end) === '' ? { from: start, to: end } : { from, to };
}

/** The document without the marks where the caret was wanted: one that has served is gone. */
function withoutCaretMarks(doc: EditorNode): EditorNode {
  const marks: number[] = [];
  doc.descendants((node, pos) => void (node.type.name === 'caretMark' && marks.push(pos)));
  return marks.reduceRight((tr, pos) => tr.delete(pos, pos + 1), new Transform(doc)).doc;
}

/** Without the spaces at its ends, which join it to what it stands in. */
function withoutEdgeSpaces(passage: Passage): Passage {
  const last = linesOf(passage).length - 1;
  const trimmed = (inline: Inline, trim: (text: string) => string): Inline[] => {
    if (inline.type !== 'text') return [inline];
    const text = trim(inline.text);
    return text === '' ? [] : [{ ...inline, text }];
  };
  let at = -1;
  return mapLines(passage, (line) => {
    at += 1;
    const begun =
      at === 0
        ? [...line.slice(0, 1).flatMap((one) => trimmed(one, (text) => text.trimStart())), ...line.slice(1)]
        : line;
    if (at !== last) return begun;
    return [
      ...begun.slice(0, -1),
      ...begun.slice(-1).flatMap((one) => trimmed(one, (text) => text.trimEnd())),
    ];
  });
}

/**
 * A placement's own words as they stand in a document, from the first to the last, whatever they stand in: where it was placed,
 * without what joins them to the words around. Null where there are none.
 */
export function wordsStanding(doc: EditorNode, placement: string): Passage | null {
  const bare = withoutCaretMarks(doc);
  const range = bodyRange(bare, placement);
  return range && withoutEdgeSpaces(passageBetween(bare, range.from, range.to));
}

/** A passage that is about to be placed, without the lines at its ends that have no word: nothing tells whose they are. */
export function withoutBareEnds({ schema }: EditorState, passage: Passage, placement: string): Passage {
  const doc = schema.nodeFromJSON(passage);
  const range = bodyRange(doc, placement);
  return range ? passageBetween(doc, range.from, range.to) : passage;
}
