import type { Editor } from '@tiptap/react';
import { useEffect } from 'react';
import type { CaseSubmission } from '#contracts';
import { followedRange } from '#core/submission';
import { commentsIn, layComment } from '../../editor';

/**
 * Brings one's own comments to where their words are in what was handed in, once it is another version. Comments whose words are gone
 * stay where they were. It is no step of undo: nobody did it.
 */
export function useFollowing(editor: Editor, handed: CaseSubmission | null): void {
  useEffect(() => {
    if (!handed) return;
    for (const { comment } of commentsIn(editor.state.doc)) {
      const on = followedRange(handed.submission, comment);
      if (!on || on === comment.on) continue;
      const tr = layComment(editor.state, comment.id, { ...comment, on });
      if (tr) editor.view.dispatch(tr.setMeta('addToHistory', false));
    }
  }, [editor, handed]);
}
