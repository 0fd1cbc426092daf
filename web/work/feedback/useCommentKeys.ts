import { Plugin, PluginKey } from '@tiptap/pm/state';
import type { Editor } from '@tiptap/react';
import { useEffect, useRef } from 'react';
import { commentAt, removeComment } from '../../editor';

const EMPTYING = new PluginKey('emptyComment');
const LEAVING = new PluginKey('leaveComment');

/**
 * Two keys of their own in a comment: Escape leads back to the words it is on, whatever is offered; Backspace in one without
 * words deletes it.
 */
export function useCommentKeys(editor: Editor, back: () => void): void {
  const latest = useRef(back);
  useEffect(() => {
    latest.current = back;
  });
  useEffect(() => {
    const emptying = new Plugin({
      key: EMPTYING,
      props: {
        handleKeyDown: (view, event) => {
          const here = event.key === 'Backspace' && view.editable ? commentAt(view.state) : null;
          if (!here || here.node.content.size > 2) return false;
          latest.current();
          const tr = removeComment(view.state, here.comment.id);
          if (tr) view.dispatch(tr);
          return true;
        },
      },
    });
    const leaving = new Plugin({
      key: LEAVING,
      props: {
        handleKeyDown: (view, event) => {
          if (event.key !== 'Escape' || !commentAt(view.state)) return false;
          latest.current();
          return true;
        },
      },
    });
    editor.registerPlugin(emptying, (plugin, plugins) => [plugin, ...plugins]);
    editor.registerPlugin(leaving, (plugin, plugins) => [plugin, ...plugins]);
    return () => {
      if (editor.isDestroyed) return;
      editor.unregisterPlugin(EMPTYING);
      editor.unregisterPlugin(LEAVING);
    };
  }, [editor]);
}
