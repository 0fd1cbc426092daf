import type { Editor } from '@tiptap/react';
import { useEffect } from 'react';
import type { CaseSubmission } from '#contracts';
import { againWords, paragraphAt, paragraphNumbers } from '#core/submission';
import { shortWording } from '#core/entry';
import { countedComments, COUNTED_COMMENTS, saidTwice, SAID_TWICE } from '../../editor';
import type { LeafWithMaterial } from '../../leaf';

/**
 * Has each comment count as its entry says, and what is said a second time in the comments on a submission point back to the first: in
 * the entry's short wording, else by its paragraph.
 */
export function useSaidTwice(
  editor: Editor,
  handed: CaseSubmission | null,
  { contentOf, inWording }: LeafWithMaterial['bank'],
): void {
  useEffect(() => {
    if (!handed) return;
    const numbers = paragraphNumbers(handed.submission);
    editor.registerPlugin(
      countedComments((entry) => {
        const comment = contentOf(entry)?.comment;
        return comment ? { criterion: comment.criterion, as: comment.counts ?? null } : null;
      }),
    );
    editor.registerPlugin(
      saidTwice({
        inShort: (id, placement) => {
          const content = contentOf(placement.entry);
          const short = content && shortWording(content, placement.language);
          return short && inWording(id, placement, short.id);
        },
        wordsFor: ({ from }, language) => againWords(paragraphAt(numbers, from.block), language),
      }),
    );
    return () => {
      if (editor.isDestroyed) return;
      editor.unregisterPlugin(COUNTED_COMMENTS);
      editor.unregisterPlugin(SAID_TWICE);
    };
  }, [editor, handed, contentOf, inWording]);
}
