import { markingIn } from './markings';
import type { Block, CommentOn, Passage } from '#core/passage';

/** A comment of a draft: what it is on, and its words. */
export interface DraftComment extends CommentOn {
  passage: Passage;
}

const commentIn = (block: Block): CommentOn | null =>
  block.type === 'box' ? (block.attrs.comment ?? null) : null;

/** The comments of a draft, in the order in which they stand: that of the passages they are on. */
export const commentsOf = ({ content }: Passage): DraftComment[] =>
  content.flatMap((block) => {
    const comment = commentIn(block);
    if (!comment || block.type !== 'box') return [];
    return [{ ...comment, passage: { type: 'doc' as const, content: block.content } }];
  });

/** What of a draft stands beside no material, as comments and markings do: the summing-up, with its texts. An empty paragraph where there is nothing else. */
export function withoutComments({ content }: Passage): Passage {
  const rest = content.filter((block) => commentIn(block) === null && markingIn(block) === null);
  return { type: 'doc', content: rest.length > 0 ? rest : [{ type: 'paragraph' }] };
}
