import { closeHistory } from '@tiptap/pm/history';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { compareMarkings, type MarkingOn } from '#core/passage';
import { copiedContent } from './comments';
import { setPlacements } from './placements';

/** Markings of a draft: each stands in a box that says where on which page it is; they stand in the order of their pages. */

/** A marking as it stands in a document. */
export interface MarkingAt {
  pos: number;
  node: EditorNode;
  marking: MarkingOn;
}

/** Where a box stands on a page, where it is a marking; null for any other node. */
export const markingOf = (node: EditorNode): MarkingOn | null =>
  node.type.name === 'box' ? ((node.attrs.marking as MarkingOn | null) ?? null) : null;

/** The markings of a document, in their order. */
export function markingsIn(doc: EditorNode): MarkingAt[] {
  const found: MarkingAt[] = [];
  doc.forEach((node, pos) => {
    const marking = markingOf(node);
    if (marking) found.push({ pos, node, marking });
  });
  return found;
}

/** The marking that the selection is in; null outside of all. */
export const markingAt = ({
  doc,
  selection: { from },
}: Pick<EditorState, 'doc' | 'selection'>): MarkingAt | null =>
  markingsIn(doc).find(({ pos, node }) => from > pos && from < pos + node.nodeSize) ?? null;

/** The marking of an id; null where it is not there. */
export const markingById = (doc: EditorNode, id: string): MarkingAt | null =>
  markingsIn(doc).find(({ marking }) => marking.id === id) ?? null;

/** What every box of a marking is called: nobody reads it, but a text has a name. */
const NAME = 'Marking';

/** Where a marking belongs among the others: behind all on its page and those before. */
function placeFor(doc: EditorNode, marking: Pick<MarkingOn, 'page'>): number {
  const last = markingsIn(doc).findLast((other) => compareMarkings(other.marking, marking) <= 0);
  return last ? last.pos + last.node.nodeSize : 0;
}

const insideOf = (tr: Transaction, pos: number): Transaction =>
  tr.setSelection(TextSelection.near(tr.doc.resolve(pos + 1)));

/** A transaction that puts down a marking without words, with the caret in it: a step of its own for undo, with what is typed into it. */
export function addMarking(state: EditorState, marking: MarkingOn): Transaction {
  const { box, paragraph } = state.schema.nodes;
  const pos = placeFor(state.doc, marking);
  const { tr } = state;
  tr.insert(pos, box!.create({ name: NAME, marking }, paragraph!.create()));
  return closeHistory(insideOf(tr, pos));
}

/** A transaction that deletes a marking with its words; null where it is not there. */
export function removeMarking(state: EditorState, id: string): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found) return null;
  const { tr } = state;
  tr.delete(found.pos, found.pos + found.node.nodeSize);
  if (tr.doc.childCount === 0) tr.insert(0, state.schema.nodes.paragraph!.create());
  return tr;
}

/** A transaction that changes where a marking stands, or how it looks; its words and the caret stay. Null where it is not there. */
export function changeMarking(
  state: EditorState,
  id: string,
  change: Partial<Omit<MarkingOn, 'id' | 'page'>>,
): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found) return null;
  return state.tr.setNodeAttribute(found.pos, 'marking', { ...found.marking, ...change });
}

/**
 * A transaction that puts the same words down once more, at another place: their placements are of their own, so that the two can be answered
 * apart. Null where there is no such marking.
 */
export function copyMarking(
  state: EditorState,
  id: string,
  where: Pick<MarkingOn, 'id' | 'page' | 'at'>,
  newId: () => string,
): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found) return null;
  const { content, placements } = copiedContent(state, found, newId);
  const [dx, dy] = [where.at.x - found.marking.at.x, where.at.y - found.marking.at.y];
  const { lead } = found.marking;
  // What it leads to moves along.
  const led = lead && { ...lead, to: { x: lead.to.x + dx, y: lead.to.y + dy } };
  const marking = { ...found.marking, ...where, ...(led && { lead: led }) };
  const pos = placeFor(state.doc, marking);
  const { tr } = state;
  tr.insert(pos, found.node.type.create({ name: NAME, marking }, content));
  return closeHistory(insideOf(setPlacements(tr, placements), pos));
}

/** A transaction that puts the caret at the end of a marking's words; null where it is not there. */
export function stepToMarking(state: EditorState, id: string): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found) return null;
  return state.tr.setSelection(
    TextSelection.near(state.doc.resolve(found.pos + found.node.nodeSize - 1), -1),
  );
}
