import type { Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { markingOf } from './markings';
import { commentOf } from './comments';
import { placementsOf, setPlacements } from './placements';

/** The texts of a draft beside the one without a name: each stands in a box of its own, called by its name. */

/** One of them, as it stands in a document. */
export interface BoxAt {
  name: string;
  pos: number;
  node: EditorNode;
}

/** The boxes of a document, in their order; comments are none of them. */
export function boxesIn(doc: EditorNode): BoxAt[] {
  const boxes: BoxAt[] = [];
  doc.forEach((node, pos) => {
    if (node.type.name === 'box' && !commentOf(node) && !markingOf(node))
      boxes.push({ name: String(node.attrs.name), pos, node });
  });
  return boxes;
}

/** The box that the caret is in; null outside of all. */
export function boxAtCaret(state: EditorState): BoxAt | null {
  const { from } = state.selection;
  return boxesIn(state.doc).find(({ pos, node }) => from > pos && from < pos + node.nodeSize) ?? null;
}

const caretAtStart = (tr: Transaction, pos: number): Transaction =>
  tr.setSelection(TextSelection.near(tr.doc.resolve(pos + 1))).scrollIntoView();

/** A transaction that begins a text of a name behind the box at the caret, else at the end of the draft; the caret goes there. */
export function addText(state: EditorState, name: string): Transaction {
  const here = boxAtCaret(state);
  const pos = here ? here.pos + here.node.nodeSize : state.doc.content.size;
  const { box, paragraph } = state.schema.nodes;
  return caretAtStart(state.tr.insert(pos, box!.create({ name }, paragraph!.create())), pos);
}

/** A transaction that calls a text by another name. */
export function renameText(state: EditorState, { pos, name: before }: BoxAt, name: string): Transaction {
  const tr = state.tr.setNodeAttribute(pos, 'name', name);
  // Wordings that put a part there go on putting it there.
  const placements = Object.entries(placementsOf(state.doc)).map(([id, placement]) => {
    const parts = placement.parts?.map((part) => (part === before ? name : part));
    return [id, { ...placement, ...(parts && { parts }) }] as const;
  });
  return setPlacements(tr, Object.fromEntries(placements));
}

/**
 * A transaction that gives the text outside the boxes a name: it becomes a box of its own, where its first words stand, with
 * all that stands outside in it.
 */
export function nameRest(state: EditorState, name: string): Transaction {
  const { doc, tr } = state;
  let start = -1;
  let end = -1;
  const parted: { node: EditorNode; pos: number }[] = [];
  doc.forEach((node, pos) => {
    if (node.type.name === 'box') return;
    if (start < 0) start = end = pos;
    if (pos === end) end = pos + node.nodeSize;
    else parted.push({ node, pos });
  });
  if (start < 0) return tr;
  for (const { node, pos } of [...parted].reverse()) tr.delete(pos, pos + node.nodeSize);
  tr.insert(
    end,
    parted.map(({ node }) => node),
  );
  const last = parted.reduce((sum, { node }) => sum + node.nodeSize, end);
  const range = tr.doc.resolve(start + 1).blockRange(tr.doc.resolve(last - 1), (node) => node === tr.doc);
  return range ? tr.wrap(range, [{ type: state.schema.nodes.box!, attrs: { name } }]) : tr;
}

/** A transaction that puts a box where another one is, by their places among the boxes; the words of no other text move. */
export function moveText(state: EditorState, from: number, to: number): Transaction {
  const boxes = boxesIn(state.doc);
  const order = boxes.map(({ node }) => node);
  order.splice(to, 0, ...order.splice(from, 1));
  // From the last to the first, so that places before stay true.
  return boxes.reduceRight(
    (tr, { pos, node }, at) => tr.replaceWith(pos, pos + node.nodeSize, order[at]!),
    state.tr,
  );
}

/** A transaction that takes a text out of the draft with all its words; the caret goes to what is nearest. */
export function removeText(state: EditorState, { pos, node }: BoxAt): Transaction {
  const { tr } = state;
  const isAll = node.nodeSize === state.doc.content.size;
  if (isAll) tr.replaceWith(pos, pos + node.nodeSize, state.schema.nodes.paragraph!.create());
  else tr.delete(pos, pos + node.nodeSize);
  return tr.setSelection(TextSelection.near(tr.doc.resolve(Math.min(pos, tr.doc.content.size)), -1));
}
