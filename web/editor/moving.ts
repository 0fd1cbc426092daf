import { closeHistory } from '@tiptap/pm/history';
import { NodeSelection, Selection, type EditorState, type Transaction } from '@tiptap/pm/state';

/**
 * A transaction that moves the caret's paragraph, or its list item, one place up or down among its neighbours, the
 * selection with it; null where it has none that way.
 */
export function moveBlock(state: EditorState, direction: 1 | -1): Transaction | null {
  const { $from, $to } = state.selection;
  let depth = $from.sharedDepth($to.pos);
  if (state.selection instanceof NodeSelection) depth = $from.depth;
  while (depth > 0 && $from.node(depth).type.name !== 'listItem') depth -= 1;
  // Not in a list: the outermost block, be it within a box.
  if (depth === 0) depth = $from.depth > 0 && $from.node(1).type.name === 'box' ? 2 : 1;
  if ($from.depth < depth) return null;
  const parent = $from.node(depth - 1);
  const [first, last] = [$from.index(depth - 1), $to.index(depth - 1)];
  const neighbour = direction === 1 ? last + 1 : first - 1;
  if (neighbour < 0 || neighbour >= parent.childCount || parent.child(neighbour).type.name === 'box')
    return null;
  const start = $from.before(depth);
  const end = $to.after(depth);
  const other = parent.child(neighbour);
  // The neighbour is moved to the other side: what is being written stays where it is, and so does the caret in it.
  const { tr } = state;
  const shift = direction === 1 ? other.nodeSize : -other.nodeSize;
  const moved = state.doc.slice(start, end).content;
  const [from, to] = direction === 1 ? [start, end + other.nodeSize] : [start - other.nodeSize, end];
  const content = direction === 1 ? moved.addToStart(other) : moved.addToEnd(other);
  tr.replaceWith(from, to, content);
  const { anchor } = state.selection;
  const kept =
    state.selection instanceof NodeSelection
      ? NodeSelection.create(tr.doc, state.selection.from + shift)
      : Selection.near(tr.doc.resolve(anchor + shift));
  return closeHistory(tr).setSelection(kept).scrollIntoView();
}
