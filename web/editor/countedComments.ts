import { Plugin, PluginKey, type Transaction } from '@tiptap/pm/state';
import { isHistoryTransaction } from '@tiptap/pm/history';
import type { CommentOn } from '#core/passage';
import { placementIdsIn } from './adopting';
import { commentById, commentsIn } from './comments';
import { isFollowing, placementsOf } from './placements';

/** What a comment counts as. */
export type CommentCount = NonNullable<CommentOn['counts']>;

/** Names the plugin. */
export const COUNTED_COMMENTS = new PluginKey('countedComments');

/**
 * Has each comment count as the entry says that is placed in it: from the first placement on, and until its writer says otherwise. It
 * is a part of the step that places it.
 */
export function countedComments(countOf: (entry: string) => CommentCount | null): Plugin {
  return new Plugin({
    key: COUNTED_COMMENTS,
    appendTransaction: (transactions, before, now) => {
      const isAsItWas = (one: Transaction) => isHistoryTransaction(one) || isFollowing(one);
      if (!transactions.some(({ docChanged }) => docChanged) || transactions.some(isAsItWas)) return null;
      const [known, placements] = [placementsOf(before.doc), placementsOf(now.doc)];
      if (known === placements) return null;
      const { tr } = now;
      for (const { pos, node, comment } of commentsIn(now.doc)) {
        if (comment.counts) continue;
        const fresh = [...placementIdsIn(node.content)].find((id) => placements[id] && !known[id]);
        const counts = fresh === undefined ? null : countOf(placements[fresh]!.entry);
        if (counts) tr.setNodeAttribute(pos, 'comment', { ...comment, counts });
      }
      return tr.docChanged ? tr : null;
    },
  });
}

/** A transaction that has a comment count as something else; null where it is not there. */
export function countComment(
  state: { doc: Transaction['doc']; tr: Transaction },
  id: string,
  counts: CommentCount,
): Transaction | null {
  const found = commentById(state.doc, id);
  return found && state.tr.setNodeAttribute(found.pos, 'comment', { ...found.comment, counts });
}
