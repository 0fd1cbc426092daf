import type { Editor } from '@tiptap/react';

/** Brings the line of a place into sight while the keys are in a slip. */
export function showPlace(editor: Editor, from: number): void {
  const { node } = editor.view.domAtPos(from);
  const element = node instanceof Element ? node : node.parentElement;
  element?.scrollIntoView({ block: 'nearest' });
}
