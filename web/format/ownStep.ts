import type { Editor } from '@tiptap/core';
import { closeHistory } from '@tiptap/pm/history';

/** A chain of commands that is a step of its own for undo, however soon after the last key; the keys go to the text. */
export const ownStep = (editor: Editor) =>
  editor
    .chain()
    .focus()
    .command(({ tr }) => {
      closeHistory(tr);
      return true;
    });
