import { TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/**
 * Has the editor know what is selected on the page at this very moment. Browsers tell of a selection made by keys a moment after
 * the key: a key pressed quickly after it would be taken for one with nothing selected.
 */
export function syncSelection(view: EditorView): void {
  const selected = view.dom.ownerDocument.getSelection();
  const { state } = view;
  if (!selected?.anchorNode || !selected.focusNode || selected.isCollapsed) return;
  if (view.composing || !view.hasFocus() || !(state.selection instanceof TextSelection)) return;
  if (!view.dom.contains(selected.anchorNode) || !view.dom.contains(selected.focusNode)) return;
  const anchor = view.posAtDOM(selected.anchorNode, selected.anchorOffset);
  const head = view.posAtDOM(selected.focusNode, selected.focusOffset);
  if (anchor === state.selection.anchor && head === state.selection.head) return;
  const now = TextSelection.between(state.doc.resolve(anchor), state.doc.resolve(head));
  view.dispatch(state.tr.setSelection(now));
}
