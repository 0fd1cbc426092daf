import { closeHistory } from '@tiptap/pm/history';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { compareMarkings, type MarkingOn } from '#core/passage';
import type { Placements } from '#core/draft';
import { placementIdsIn } from './adopting';
import { copiedContent } from './comments';
import { placementsOf, setPlacements } from './placements';

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

/**
 * A transaction that puts down a marking, with the caret in it: a step of its own for undo, with what is typed into it. `lines`: its words, none
 * to begin with.
 */
export function addMarking(
  state: EditorState,
  marking: MarkingOn,
  lines: readonly string[] = [''],
): Transaction {
  const { box, paragraph } = state.schema.nodes;
  const words = lines.map((line) => paragraph!.create(null, line === '' ? null : state.schema.text(line)));
  const pos = placeFor(state.doc, marking);
  const { tr } = state;
  tr.insert(pos, box!.create({ name: NAME, marking }, words));
  return closeHistory(insideOf(tr, pos));
}

/** A transaction that puts the caret on a line before all markings, or behind them; one is made where there is none. */
export function lineBeside({ doc, schema, tr }: EditorState, where: 'before' | 'behind'): Transaction {
  const beside = where === 'before' ? doc.firstChild! : doc.lastChild!;
  const edge = where === 'before' ? 0 : doc.content.size;
  if (markingOf(beside)) {
    tr.insert(edge, schema.nodes.paragraph!.create());
    return closeHistory(tr.setSelection(TextSelection.near(tr.doc.resolve(edge + 1))));
  }
  return tr.setSelection(where === 'before' ? TextSelection.atStart(tr.doc) : TextSelection.atEnd(tr.doc));
}

/** A transaction that deletes markings with their words; null where none of them is there. */
export function removeMarkings(state: EditorState, ids: readonly string[]): Transaction | null {
  const found = markingsIn(state.doc).filter(({ marking }) => ids.includes(marking.id));
  if (found.length === 0) return null;
  const { tr } = state;
  // From the last on: what stands before stays where it is.
  for (const { pos, node } of found.reverse()) tr.delete(pos, pos + node.nodeSize);
  if (tr.doc.childCount === 0) tr.insert(0, state.schema.nodes.paragraph!.create());
  return closeHistory(tr);
}

/** A transaction that changes where markings stand, or how they look; their words and the caret stay. Null where none of them is there. */
export function changeMarkings(
  state: EditorState,
  ids: readonly string[],
  change: Partial<Omit<MarkingOn, 'id' | 'page'>>,
): Transaction | null {
  const found = markingsIn(state.doc).filter(({ marking }) => ids.includes(marking.id));
  if (found.length === 0) return null;
  const { tr } = state;
  for (const { pos, marking } of found) tr.setNodeAttribute(pos, 'marking', { ...marking, ...change });
  return tr;
}

/** A marking at another place; what it leads to moves along. It answers nobody: that was said once. */
function elsewhere(
  { lead, answers: _answered, ...marking }: MarkingOn,
  where: Pick<MarkingOn, 'id' | 'page' | 'at'>,
): MarkingOn {
  const [dx, dy] = [where.at.x - marking.at.x, where.at.y - marking.at.y];
  const led = lead && { ...lead, to: { x: lead.to.x + dx, y: lead.to.y + dy } };
  return { ...marking, ...where, ...(led && { lead: led }) };
}

/**
 * A transaction that puts the same words down once more at other places, with the caret in the first: their placements are of their own, so
 * that each can be answered apart. Null where there is no such marking, or no place.
 */
export function copyMarking(
  state: EditorState,
  id: string,
  places: readonly Pick<MarkingOn, 'id' | 'page' | 'at'>[],
  newId: () => string,
): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found || places.length === 0) return null;
  const { tr } = state;
  let placements = {};
  for (const where of places) {
    const copy = copiedContent(state, found, newId);
    placements = { ...placements, ...copy.placements };
    const marking = elsewhere(found.marking, where);
    tr.insert(placeFor(tr.doc, marking), found.node.type.create({ name: NAME, marking }, copy.content));
  }
  const first = markingById(tr.doc, places[0]!.id)!;
  return closeHistory(insideOf(setPlacements(tr, placements), first.pos));
}

/** The entries that the words of a marking were placed from, in their order. */
function entriesOf({ node }: MarkingAt, placements: Placements): string[] {
  const ids = [...placementIdsIn(node.content)];
  return ids.flatMap((id) => placements[id]?.entry ?? []);
}

/**
 * The markings that say the same as one, itself too, in their order: those placed from the same entry; where nothing in it was, those of the
 * same words. None where it is not there.
 */
export function alikeMarkings(doc: EditorNode, id: string): MarkingAt[] {
  const found = markingById(doc, id);
  if (!found) return [];
  const placements = placementsOf(doc);
  const saying = (one: MarkingAt) => {
    const entries = entriesOf(one, placements);
    return entries.length > 0 ? `entry ${entries.join(' ')}` : `words ${one.node.textContent.trim()}`;
  };
  const own = saying(found);
  return markingsIn(doc).filter((one) => saying(one) === own);
}

/** A transaction that puts the caret at the end of a marking's words; null where it is not there. */
export function stepToMarking(state: EditorState, id: string): Transaction | null {
  const found = markingById(state.doc, id);
  if (!found) return null;
  return state.tr.setSelection(
    TextSelection.near(state.doc.resolve(found.pos + found.node.nodeSize - 1), -1),
  );
}
