import { Fragment, Slice, type Node as EditorNode } from '@tiptap/pm/model';
import { closeHistory } from '@tiptap/pm/history';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { followCase, isLine, joinAtCaret } from '#core/passage';
import type { TypedCase } from '#core/cue';
import { place, type PlacedWording, type PlaceRequest } from '#core/fill';
import { attrsOf, blanksIn, isAsked, placementRange } from './blanks';
import { goingOn } from './goingOn';
import { placementsOf, setPlacements } from './placements';

/** The text of the caret's line before a position, and after another, as a reader sees it. */
export function lineAround(state: EditorState, from: number, to: number): { before: string; after: string } {
  const [$from, $to] = [state.doc.resolve(from), state.doc.resolve(to)];
  const leaf = (node: EditorNode) => (node.type.name === 'blank' ? attrsOf(node).text : '\n');
  const before = $from.parent.textBetween(0, $from.parentOffset, undefined, leaf);
  const after = $to.parent.textBetween($to.parentOffset, $to.parent.content.size, undefined, leaf);
  return { before: before.slice(before.lastIndexOf('\n') + 1), after: after.split('\n')[0]! };
}

/** Where the placement's wording wants the caret; -1 when it does not say. */
function caretMarkOf(doc: EditorNode, placement: string): number {
  let found = -1;
  doc.descendants((node, pos) => {
    const own = node.marks.some(({ type, attrs }) => type.name === 'placed' && attrs.placement === placement);
    if (node.type.name === 'caretMark' && own && found < 0) found = pos;
  });
  return found;
}

/** Where writing goes on after a placement: at its caret mark, which has then served, or right behind it; in plain letters. */
export function goOnAfter(tr: Transaction, placement: string): Transaction {
  const mark = caretMarkOf(tr.doc, placement);
  if (mark >= 0) {
    tr.delete(mark, mark + 1);
    return tr.setSelection(TextSelection.create(tr.doc, mark)).setStoredMarks([]).scrollIntoView();
  }
  const range = placementRange(tr.doc, placement);
  if (!range) return tr;
  return goingOn(tr.setSelection(TextSelection.create(tr.doc, range.to)).setStoredMarks([]).scrollIntoView());
}

/** Puts the caret on the placement's first question without an answer, or behind it when there is none. */
export function stepIn(tr: Transaction, placement: string): Transaction {
  const answers = placementsOf(tr.doc)[placement]?.answers ?? {};
  const open = blanksIn(tr.doc).find(
    ({ attrs }) =>
      attrs.placement === placement &&
      (attrs.state === 'gap' || answers[attrs.field] === undefined) &&
      isAsked(tr.doc, attrs),
  );
  return open
    ? tr.setSelection(NodeSelection.create(tr.doc, open.pos)).scrollIntoView()
    : goOnAfter(tr, placement);
}

const isBare = (node: EditorNode) => node.textContent === '' && blanksIn(node).length === 0;

/**
 * Puts the parts that have boxes of their own into them: in place of what stood there from the same placement, or where
 * nothing stands. A box in which something else stands is left as it is.
 */
function putInBoxes(tr: Transaction, boxes: PlacedWording['boxes'], placement: string): void {
  for (const { name, passage } of [...boxes].reverse()) {
    const content = Fragment.fromJSON(tr.doc.type.schema, passage.content);
    let there: { node: EditorNode; pos: number } | null = null;
    tr.doc.forEach((node, pos) => {
      if (node.type.name === 'box' && node.attrs.name === name) there = { node, pos };
    });
    const box = there as { node: EditorNode; pos: number } | null;
    if (!box) tr.insert(0, tr.doc.type.schema.nodes.box!.create({ name }, content));
    else if (isBare(box.node) || placementRange(box.node, placement))
      tr.replaceWith(box.pos + 1, box.pos + box.node.nodeSize - 1, content);
  }
}

/**
 * A transaction that puts an entry in place of [from, to): its words join the line there, its blanks are
 * filled as far as is known, and the caret stands on the first gap. `inWord` where it goes on with the word before it.
 */
export function placeEntry(
  state: EditorState,
  from: number,
  to: number,
  request: PlaceRequest,
  typed: TypedCase = 'as-is',
  inWord = false,
): Transaction {
  return putIn(state, from, to, request.id, place(request), typed, inWord);
}

/** Puts what was placed in place of [from, to). */
export function putIn(
  state: EditorState,
  from: number,
  to: number,
  id: string,
  { passage, placement, boxes, joins }: PlacedWording,
  typed: TypedCase = 'as-is',
  inWord = false,
): Transaction {
  const $from = state.doc.resolve(from);
  // Whole blocks are replaced, or a stretch of lines.
  const areBlocks = !$from.parent.inlineContent;
  const { before, after } = areBlocks ? { before: '', after: '' } : lineAround(state, from, to);
  const joined = joinAtCaret(followCase(passage, typed), before, after, joins, inWord);
  const fragment = Fragment.fromJSON(state.schema, joined.content);
  const open = (index: number) => (isLine(joined.content.at(index)!) ? 1 : 0);
  const wholeBlock =
    $from.parent.isTextblock &&
    from === $from.start() &&
    to === $from.end() &&
    ($from.depth === 1 || ($from.depth === 2 && $from.node(1).type.name === 'box'));
  const { tr } = state;
  // Into an empty paragraph blocks come whole, so that a heading or list stays one.
  if (areBlocks) tr.replaceWith(from, to, fragment);
  else if (wholeBlock && joined.content.length > 1) tr.replaceWith($from.before(), $from.after(), fragment);
  else tr.replaceRange(from, to, new Slice(fragment, open(0), open(-1)));
  putInBoxes(tr, boxes, id);
  setPlacements(tr, { ...placementsOf(state.doc), [id]: placement });
  // A step of its own for undo, however soon after the last key.
  return stepIn(closeHistory(tr), id);
}
