import type { Editor } from '@tiptap/react';
import { TextSelection } from '@tiptap/pm/state';

/** Selects a stretch of a line, counted over the paragraphs of the wording, and gives it the keys. */
export function selectInLine(
  editor: Editor,
  { line, from, to }: { line: number; from: number; to: number },
): void {
  let seen = -1;
  let start = -1;
  editor.state.doc.descendants((node, pos) => {
    if (!node.isTextblock) return true;
    seen += 1;
    if (seen === line) start = pos + 1;
    return false;
  });
  if (start < 0) return;
  const { doc, tr } = editor.state;
  const end = Math.min(start + to, doc.content.size);
  editor.view.dispatch(tr.setSelection(TextSelection.create(doc, start + from, end)).scrollIntoView());
  editor.view.focus();
}
