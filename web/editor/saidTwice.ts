import { Fragment, type Node as EditorNode } from '@tiptap/pm/model';
import { closeHistory, isHistoryTransaction } from '@tiptap/pm/history';
import { Plugin, PluginKey, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import type { Placement } from '#core/draft';
import type { PlacedWording } from '#core/fill';
import type { CommentOn } from '#core/passage';
import { placementIdsIn } from './adopting';
import { attrsOf } from './blanks';
import { commentById, commentsIn, copiedContent, type CommentAt } from './comments';
import { isFollowing, placementsOf, setPlacements } from './placements';
import { stepIn } from './placing';

/** What is asked of where comments stand. */
export interface SaidTwiceHost {
  /** The words that point back to a comment, in the language of a wording. */
  wordsFor: (on: CommentOn['on'], language: string) => string;
  /** A placement once more, in the short wording that its entry has for what was said before; null where it has none. */
  inShort: (id: string, placement: Placement) => PlacedWording | null;
}

/** Names the plugin; a transaction that says so of it is one that says a thing again on purpose. */
export const SAID_TWICE = new PluginKey('saidTwice');

/** Whether something stands for a placement. */
function isOf(node: EditorNode, placement: string): boolean {
  if (node.type.name === 'blank') return attrsOf(node).placement === placement;
  return node.marks.some(({ type, attrs }) => type.name === 'placed' && attrs.placement === placement);
}

/** The one placement that a comment is, with nothing written by hand; null where it is more, or less. */
function onlyPlacement({ node }: CommentAt): string | null {
  const [only, ...more] = placementIdsIn(node.content);
  if (only === undefined || more.length > 0) return null;
  let byHand = '';
  node.descendants((child) => {
    if (child.isText && !isOf(child, only)) byHand += child.text ?? '';
  });
  return byHand.trim() === '' ? only : null;
}

const put = (
  tr: Transaction,
  { pos, node, comment }: CommentAt,
  again: CommentOn['again'],
  content: Fragment,
) =>
  tr.replaceWith(
    pos,
    pos + node.nodeSize,
    node.type.create({ ...node.attrs, comment: { ...comment, again } }, content),
  );

const caretAtEnd = (tr: Transaction, { pos }: CommentAt): Transaction => {
  const end = pos + (tr.doc.nodeAt(pos)?.nodeSize ?? 2) - 1;
  return tr.setSelection(TextSelection.near(tr.doc.resolve(end), -1));
};

/** Puts the short wording of what was just placed a second time in its place; the caret goes to its first gap, or behind it. */
function putShort(
  tr: Transaction,
  here: CommentAt,
  { comment: { id: of } }: CommentAt,
  placement: string,
  short: PlacedWording,
): void {
  const content = Fragment.fromJSON(tr.doc.type.schema, short.passage.content);
  put(tr, here, { of, words: '', language: short.placement.language }, content);
  setPlacements(tr, { ...placementsOf(tr.doc), [placement]: short.placement });
  caretAtEnd(tr, here);
  stepIn(tr, placement);
}

/** Puts words that point back, or a short wording, in the place of what was just placed a second time; the caret goes behind them. */
function pointBack(tr: Transaction, before: EditorState, host: SaidTwiceHost): void {
  const known = placementsOf(before.doc);
  const placements = placementsOf(tr.doc);
  for (const here of commentsIn(tr.doc)) {
    const id = onlyPlacement(here);
    const placement = id === null || known[id] ? undefined : placements[id];
    if (!placement) continue;
    const first = commentsIn(tr.doc).find(
      ({ comment, node }) =>
        comment.id !== here.comment.id &&
        !comment.again &&
        [...placementIdsIn(node.content)].some((one) => placements[one]?.entry === placement.entry),
    );
    if (!first) continue;
    const short = host.inShort(id!, placement);
    if (short) return putShort(tr, here, first, id!, short);
    const words = host.wordsFor(first.comment.on, placement.language);
    const { paragraph } = tr.doc.type.schema.nodes;
    const line = paragraph!.create(null, tr.doc.type.schema.text(words));
    put(tr, here, { of: first.comment.id, words, language: placement.language }, Fragment.from(line));
    caretAtEnd(tr, here);
    return;
  }
}

/** Renews the words that point back, where what they point to stands elsewhere now; what was written behind them stays. */
function renew(tr: Transaction, host: SaidTwiceHost): void {
  for (const here of commentsIn(tr.doc)) {
    const { again } = here.comment;
    const first = again && commentById(tr.doc, again.of);
    // A short wording points back without saying where.
    if (!again || again.words === '' || !first) continue;
    const words = host.wordsFor(first.comment.on, again.language);
    if (words === again.words || !here.node.textContent.startsWith(again.words)) continue;
    const start = here.pos + 2;
    tr.insertText(words, start, start + again.words.length);
    tr.setNodeAttribute(here.pos, 'comment', { ...here.comment, again: { ...again, words } });
  }
}

/** Where a comment is deleted that others point back to, the first of them says it in whole, and the rest point to that one. */
function handOn(tr: Transaction, before: EditorState): void {
  for (const gone of commentsIn(before.doc)) {
    if (commentById(tr.doc, gone.comment.id)) continue;
    const [heir, ...rest] = commentsIn(tr.doc).filter(({ comment }) => comment.again?.of === gone.comment.id);
    if (!heir) continue;
    const { id } = heir.comment;
    // From the last on, so that the places of those before stay true.
    for (const one of [...rest].reverse())
      tr.setNodeAttribute(one.pos, 'comment', { ...one.comment, again: { ...one.comment.again!, of: id } });
    put(tr, heir, null, gone.node.content);
  }
}

/**
 * Sees to it that nothing is said twice in comments on one submission: what is placed a second time points back to the first; the words
 * that do so renew themselves; and when the first is deleted the next says it in whole. All within the step that brought it about.
 */
export function saidTwice(host: SaidTwiceHost): Plugin {
  return new Plugin({
    key: SAID_TWICE,
    appendTransaction: (transactions, before, now) => {
      if (!transactions.some(({ docChanged }) => docChanged)) return null;
      // What is undone or done again brings back what was so, and what was written elsewhere is as it is there.
      if (transactions.some((one) => isHistoryTransaction(one) || isFollowing(one))) return null;
      const { tr } = now;
      handOn(tr, before);
      if (!transactions.some((one) => one.getMeta(SAID_TWICE) === 'in whole')) pointBack(tr, before, host);
      renew(tr, host);
      return tr.docChanged ? tr : null;
    },
  });
}

/** A transaction that has a comment say in whole what it points back to; null where it does not, or what it points to is gone. */
export function sayInWhole(state: EditorState, id: string, newId: () => string): Transaction | null {
  const here = commentById(state.doc, id);
  const first = here?.comment.again && commentById(state.doc, here.comment.again.of);
  if (!here || !first) return null;
  const { content, placements } = copiedContent(state, first, newId);
  const { tr } = state;
  put(tr, here, null, content);
  setPlacements(tr, placements);
  return closeHistory(caretAtEnd(tr, here).setMeta(SAID_TWICE, 'in whole'));
}
