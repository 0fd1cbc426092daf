import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState } from '@tiptap/pm/state';
import { attrsOf } from './blanks';
import { placementsOf } from './placements';

/** The last placement of a block that begins before a position within it; null where there is none. */
function lastIn(block: EditorNode, until: number): string | null {
  let last: string | null = null;
  block.descendants((node, pos) => {
    if (pos >= until) return false;
    const mark = node.marks.find(({ type }) => type.name === 'placed');
    const of =
      node.type.name === 'blank' ? attrsOf(node).placement : (mark?.attrs.placement as string | undefined);
    if (of) last = of;
    return true;
  });
  return last;
}

/** The entry that was placed last before the caret; '' where none was. Looks backwards from the caret, however long the text is. */
export function entryBefore({ doc, selection: { $from } }: EditorState): string {
  const placements = placementsOf(doc);
  for (let at = $from.index(0); at >= 0; at -= 1) {
    if (at >= doc.childCount) continue;
    const until = at === $from.index(0) ? $from.pos - ($from.depth > 0 ? $from.start(1) : 0) : Infinity;
    const found = lastIn(doc.child(at), until);
    const entry = found && placements[found]?.entry;
    if (entry) return entry;
  }
  return '';
}
