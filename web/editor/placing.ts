import { Fragment, Slice, type Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { followCase, isLine, joinAtCaret } from '#core/passage';
import type { TypedCase } from '#core/cue';
import { place, type PlaceRequest } from '#core/fill';
import { attrsOf, blanksIn, placementRange } from './blanks';
import { placementsOf, setPlacements } from './placements';

/** The text of the caret's line before a position, and after another, as a reader sees it. */
export function lineAround(state: EditorState, from: number, to: number): { before: string; after: string } {
  const [$from, $to] = [state.doc.resolve(from), state.doc.resolve(to)];
  const leaf = (node: EditorNode) => (node.type.name === 'blank' ? attrsOf(node).text : '\n');
  const before = $from.parent.textBetween(0, $from.parentOffset, undefined, leaf);
  const after = $to.parent.textBetween($to.parentOffset, $to.parent.content.size, undefined, leaf);
  return { before: before.slice(before.lastIndexOf('\n') + 1), after: after.split('\n')[0]! };
}

/** Where writing goes on after a placement: right behind it, in plain letters. */
export function goOnAfter(tr: Transaction, placement: string): Transaction {
  const range = placementRange(tr.doc, placement);
  if (!range) return tr;
  return tr.setSelection(TextSelection.create(tr.doc, range.to)).setStoredMarks([]).scrollIntoView();
}

/** Puts the caret on the placement's first gap, or behind it when it has none. */
function stepIn(tr: Transaction, placement: string): Transaction {
  const gap = blanksIn(tr.doc).find(({ attrs }) => attrs.placement === placement && attrs.state === 'gap');
  return gap
    ? tr.setSelection(NodeSelection.create(tr.doc, gap.pos)).scrollIntoView()
    : goOnAfter(tr, placement);
}

/**
 * A transaction that puts an entry in place of [from, to): its words join the line there, its blanks are
 * filled as far as is known, and the caret stands on the first gap.
 */
export function placeEntry(
  state: EditorState,
  from: number,
  to: number,
  request: PlaceRequest,
  typed: TypedCase = 'as-is',
): Transaction {
  const { passage, placement } = place(request);
  const { before, after } = lineAround(state, from, to);
  const joined = joinAtCaret(followCase(passage, typed), before, after);
  const fragment = Fragment.fromJSON(state.schema, joined.content);
  const open = (index: number) => (isLine(joined.content.at(index)!) ? 1 : 0);
  const $from = state.doc.resolve(from);
  const wholeBlock =
    $from.parent.isTextblock && from === $from.start() && to === $from.end() && $from.depth === 1;
  const { tr } = state;
  // Into an empty paragraph blocks come whole, so that a heading or list stays one.
  if (wholeBlock && joined.content.length > 1) tr.replaceWith($from.before(), $from.after(), fragment);
  else tr.replaceRange(from, to, new Slice(fragment, open(0), open(-1)));
  setPlacements(tr, { ...placementsOf(state.doc), [request.id]: placement });
  return stepIn(tr, request.id);
}

/** A transaction that puts a newer wording in the place of a placement, with the answers given so far. */
export function renewPlacement(
  state: EditorState,
  id: string,
  request: Omit<PlaceRequest, 'id' | 'answers' | 'cue'>,
): Transaction {
  const range = placementRange(state.doc, id);
  const old = placementsOf(state.doc)[id];
  if (!range || !old) return state.tr;
  // Record details are looked up anew; what the member answered is kept.
  const answers = Object.fromEntries(
    Object.entries(old.answers).filter(([, answer]) => answer.kind !== 'detail'),
  );
  return placeEntry(state, range.from, range.to, { ...request, id, answers, cue: old.cue });
}
