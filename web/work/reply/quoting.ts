import type { Editor } from '@tiptap/react';

/** The words that are selected in a message that is read; '' for none. */
export function selectedInMessage(): string {
  const selection = document.getSelection();
  const within = selection?.anchorNode?.parentElement?.closest('[data-message-text]');
  return within && within.contains(selection!.focusNode) ? selection!.toString().trim() : '';
}

const paragraph = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });

/** Puts words into the reply where the caret stands, as a quotation, one step for undo; one writes on beneath it. */
export function quote(editor: Editor, words: string): void {
  const lines = words
    .split(/\n+/)
    .map((line) => line.replace(/^> ?/, '').trim())
    .filter((line) => line !== '');
  editor
    .chain()
    .focus()
    .insertContent([{ type: 'blockquote', content: lines.map(paragraph) }, { type: 'paragraph' }])
    .run();
}
