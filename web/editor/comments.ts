import { Fragment, type Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { closeHistory } from '@tiptap/pm/history';
import { compareRanges, type CommentOn, type TextRange } from '#core/passage';
import type { Placements } from '#core/draft';
import { adopt, placementIdsIn } from './adopting';
import { placementsOf, setPlacements } from './placements';

/** Comments of a draft: each stands in a box that says what it is on; they stand in the order of what they are on. */

/** A comment as it stands in a document. */
export interface CommentAt {
  pos: number;
  node: EditorNode;
  comment: CommentOn;
}

/** What a box is on, where it is a comment; null for any other node. */
export const commentOf = (node: EditorNode): CommentOn | null =>
  node.type.name === 'box' ? ((node.attrs.comment as CommentOn | null) ?? null) : null;

/** The comments of a document, in their order. */
export function commentsIn(doc: EditorNode): CommentAt[] {
  const found: CommentAt[] = [];
  doc.forEach((node, pos) => {
    const comment = commentOf(node);
    if (comment) found.push({ pos, node, comment });
  });
  return found;
}

/** The comment that the selection is in; null outside of all. */
export function commentAt({
  doc,
  selection: { from },
}: Pick<EditorState, 'doc' | 'selection'>): CommentAt | null {
  return commentsIn(doc).find(({ pos, node }) => from > pos && from < pos + node.nodeSize) ?? null;
}

/** The comment of an id; null where it is not there. */
export const commentById = (doc: EditorNode, id: string): CommentAt | null =>
  commentsIn(doc).find(({ comment }) => comment.id === id) ?? null;

/** Where a comment belongs among the others: behind all that are on words before its own. */
function placeFor(doc: EditorNode, on: TextRange): number {
  const last = commentsIn(doc).findLast(({ comment }) => compareRanges(comment.on, on) <= 0);
  return last ? last.pos + last.node.nodeSize : 0;
}

/** What is said where: the entries placed in comments, each with the words its comment is on. */
export function commentEntries(doc: EditorNode): { entry: string; on: TextRange }[] {
  const placements = placementsOf(doc);
  return commentsIn(doc).flatMap(({ node, comment: { on } }) =>
    [...placementIdsIn(node.content)].flatMap((id) => {
      const entry = placements[id]?.entry;
      return entry === undefined ? [] : [{ entry, on }];
    }),
  );
}

/** What every box of a comment is called: nobody reads it, but a text has a name. */
const NAME = 'Comment';

const insideOf = (tr: Transaction, pos: number): Transaction =>
  tr.setSelection(TextSelection.near(tr.doc.resolve(pos + 1)));

/** A transaction that puts down a comment without words, with the caret in it: a step of its own for undo, with what is typed into it. */
export function addComment(state: EditorState, comment: CommentOn): Transaction {
  const { box, paragraph } = state.schema.nodes;
  const pos = placeFor(state.doc, comment.on);
  const { tr } = state;
  tr.insert(pos, box!.create({ name: NAME, comment }, paragraph!.create()));
  return closeHistory(insideOf(tr, pos));
}

/** A transaction that deletes a comment with its words; null where it is not there. */
export function removeComment(state: EditorState, id: string): Transaction | null {
  const found = commentById(state.doc, id);
  if (!found) return null;
  const { tr } = state;
  tr.delete(found.pos, found.pos + found.node.nodeSize);
  if (tr.doc.childCount === 0) tr.insert(0, state.schema.nodes.paragraph!.create());
  return closeHistory(tr);
}

/** A transaction that puts a comment on other words, and where it then belongs, with the caret in it as it was; null where it is not there. */
export function layComment(
  state: EditorState,
  id: string,
  { on, words, before }: Pick<CommentOn, 'on' | 'words' | 'before'>,
): Transaction | null {
  const found = commentById(state.doc, id);
  if (!found) return null;
  const { tr } = state;
  const offset = state.selection.from - found.pos;
  tr.delete(found.pos, found.pos + found.node.nodeSize);
  const pos = placeFor(tr.doc, on);
  const comment = { ...found.comment, on, words, before };
  tr.insert(pos, found.node.type.create({ ...found.node.attrs, comment }, found.node.content));
  const isIn = offset > 0 && offset < found.node.nodeSize;
  return closeHistory(tr).setSelection(TextSelection.near(tr.doc.resolve(isIn ? pos + offset : pos + 1)));
}

/**
 * What a comment or a marking holds, to stand a second time: with placements of its own, so that the two can be answered apart; and all placements
 * of the draft with these.
 */
export function copiedContent(
  state: EditorState,
  { node: { content: held } }: Pick<CommentAt, 'node'>,
  newId: () => string,
): { content: Fragment; placements: Placements } {
  const placements = placementsOf(state.doc);
  const ids = [...placementIdsIn(held)].filter((one) => placements[one]);
  const rename = new Map(ids.map((one) => [one, newId()]));
  const content: EditorNode[] = [];
  held.forEach((node) => {
    const kept = adopt(node, rename, state.schema);
    if (kept) content.push(kept);
  });
  const copies = Object.fromEntries(ids.map((one) => [rename.get(one)!, placements[one]!]));
  return { content: Fragment.from(content), placements: { ...placements, ...copies } };
}

/**
 * A transaction that puts a copy of a comment on other words, with the caret in it: its placements are of their own, so that the two can
 * be answered apart. Null where it is not there.
 */
export function copyComment(
  state: EditorState,
  id: string,
  comment: CommentOn,
  newId: () => string,
): Transaction | null {
  const found = commentById(state.doc, id);
  if (!found) return null;
  const { content, placements } = copiedContent(state, found, newId);
  const { counts } = found.comment;
  const copied = { ...comment, ...(counts && { counts }) };
  const pos = placeFor(state.doc, comment.on);
  const { tr } = state;
  tr.insert(pos, found.node.type.create({ name: NAME, comment: copied }, content));
  return closeHistory(insideOf(setPlacements(tr, placements), pos));
}
