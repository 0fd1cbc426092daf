import { Fragment, Slice, type Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { followCase, isLine, joinAtCaret, type Passage } from '#core/passage';
import type { TypedCase } from '#core/cue';
import { mergedPassage, wordingWithHandChanges } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { place, refillPassage, type Placed, type PlaceRequest } from '#core/fill';
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
  return tr.setSelection(TextSelection.create(tr.doc, range.to)).setStoredMarks([]).scrollIntoView();
}

/** Puts the caret on the placement's first gap, or behind it when it has none. */
function stepIn(tr: Transaction, placement: string): Transaction {
  const gap = blanksIn(tr.doc).find(({ attrs }) => attrs.placement === placement && attrs.state === 'gap');
  return gap
    ? tr.setSelection(NodeSelection.create(tr.doc, gap.pos)).scrollIntoView()
    : goOnAfter(tr, placement);
}

const isBare = (node: EditorNode) => node.textContent === '' && blanksIn(node).length === 0;

/**
 * Puts the parts that have boxes of their own into them: in place of what stood there from the same placement, or where
 * nothing stands. A box in which something else stands is left as it is.
 */
function putInBoxes(tr: Transaction, boxes: Placed['boxes'], placement: string): void {
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
 * filled as far as is known, and the caret stands on the first gap.
 */
export function placeEntry(
  state: EditorState,
  from: number,
  to: number,
  request: PlaceRequest,
  typed: TypedCase = 'as-is',
): Transaction {
  return putIn(state, from, to, request.id, place(request), typed);
}

/** Puts what was placed in place of [from, to). */
function putIn(
  state: EditorState,
  from: number,
  to: number,
  id: string,
  { passage, placement, boxes }: Placed,
  typed: TypedCase = 'as-is',
): Transaction {
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
  putInBoxes(tr, boxes, id);
  setPlacements(tr, { ...placementsOf(state.doc), [id]: placement });
  return stepIn(tr, id);
}

/** From where to where a placement reaches outside the boxes; null when it has words in boxes alone. */
function bodyRange(doc: EditorNode, placement: string): { from: number; to: number } | null {
  const ranges: { from: number; to: number }[] = [];
  doc.forEach((block, pos) => {
    if (block.type.name === 'box') return;
    const found = placementRange(block, placement);
    if (found) ranges.push({ from: pos + 1 + found.from, to: pos + 1 + found.to });
  });
  return ranges.length > 0 ? { from: ranges[0]!.from, to: ranges.at(-1)!.to } : null;
}

/** What a placement that is renewed was before: the content of its revision, to tell what was changed by hand in it. */
export type Before = EntryContent | null;

/** What stands between two places of a draft, as a passage of its own. */
const passageBetween = (doc: EditorNode, from: number, to: number): Passage => ({
  type: 'doc',
  // With what they stand in: a stretch of one paragraph is a paragraph.
  content: doc.slice(from, to, true).content.toJSON() as Passage['content'],
});

/**
 * A transaction that puts a newer wording in the place of a placement, with the answers given so far. Where what it was
 * before is known, and its wording stays, words changed by hand stay too; of what both changed, the hand's stand.
 */
export function renewPlacement(
  state: EditorState,
  id: string,
  request: Omit<PlaceRequest, 'id' | 'answers' | 'cue'>,
  before: Before = null,
): Transaction {
  const range = placementRange(state.doc, id);
  const old = placementsOf(state.doc)[id];
  if (!range || !old) return state.tr;
  // Record details are looked up anew; what the member answered is kept.
  const given = Object.entries(old.answers).filter(([, answer]) => answer.kind !== 'detail');
  const answers = Object.fromEntries(
    request.entry.id === old.entry
      ? given
      : // It has become another entry, whose fields are known by their names alone.
        given.flatMap(([field, answer]) => {
          const name = old.fields.find(({ id: one }) => one === field)?.name;
          const same = request.entry.content.fields.find((one) => one.name === name);
          return same ? [[same.id, answer] as const] : [];
        }),
  );
  const inBody = bodyRange(state.doc, id) ?? range;
  const whole = { ...request, id, answers, cue: old.cue };
  const placed = place(whole);
  if (!before || request.wording !== old.wording) return putIn(state, inBody.from, inBody.to, id, placed);
  const was = place({
    ...whole,
    answers: Object.fromEntries(given),
    entry: { id: old.entry, revision: old.revision, content: before },
  });
  const mine = passageBetween(state.doc, inBody.from, inBody.to);
  const { passage } = mergedPassage(was.passage, mine, placed.passage);
  const refilled = refillPassage(passage, { [id]: placed.placement });
  return putIn(state, inBody.from, inBody.to, id, { ...placed, passage: refilled });
}

/**
 * An entry's content with what was changed by hand where it was placed, its blanks still blanks; null where nothing of its own
 * words was changed. `content` is that of the revision which was placed.
 */
export function changedByHand(
  state: EditorState,
  id: string,
  { content, ...needs }: Omit<PlaceRequest, 'id' | 'answers' | 'cue' | 'entry'> & { content: EntryContent },
): EntryContent | null {
  const old = placementsOf(state.doc)[id];
  const range = bodyRange(state.doc, id);
  if (!old || !range) return null;
  const { entry, revision, wording, answers, cue } = old;
  const placed = place({ ...needs, entry: { id: entry, revision, content }, wording, id, answers, cue });
  const now = passageBetween(state.doc, range.from, range.to);
  let changed = false;
  const wordings = content.wordings.map((one) => {
    const last = one.parts.at(-1)!;
    if (one.id !== wording) return one;
    const passage = wordingWithHandChanges(last.passage, placed.passage, now);
    changed = passage !== last.passage;
    return { ...one, parts: one.parts.map((part) => (part === last ? { ...part, passage } : part)) };
  });
  return changed ? { ...content, wordings } : null;
}
