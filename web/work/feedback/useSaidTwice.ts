import type { Editor } from '@tiptap/react';
import { useEffect } from 'react';
import type { CaseSubmission } from '#contracts';
import { againWords, paragraphAt, paragraphNumbers } from '#core/submission';
import { saidTwice, SAID_TWICE } from '../../editor';

/** Has what is said a second time in the comments on a submission point back to the first, by its paragraph. */
export function useSaidTwice(editor: Editor, handed: CaseSubmission | null): void {
  useEffect(() => {
    if (!handed) return;
    const numbers = paragraphNumbers(handed.submission);
    editor.registerPlugin(
      saidTwice({
        wordsFor: ({ from }, language) => againWords(paragraphAt(numbers, from.block), language),
      }),
    );
    return () => {
      if (!editor.isDestroyed) editor.unregisterPlugin(SAID_TWICE);
    };
  }, [editor, handed]);
}
