import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState } from '@tiptap/pm/state';
import { attrsOf } from './blanks';
import { placementsOf } from './placements';
import { specialsIn } from './specials';

/** The placement that an inline is of; null where it is of none. */
function placementOf(node: EditorNode): string | null {
  if (node.type.name === 'blank') return attrsOf(node).placement;
  const mark = node.marks.find(({ type }) => type.name === 'placed');
  return (mark?.attrs.placement as string | undefined) ?? null;
}

/** The entry that was placed last before the caret; '' where none was. */
export function entryBefore({ doc, selection: { from } }: EditorState): string {
  const placements = placementsOf(doc);
  const last = specialsIn(doc).findLast(({ node, pos }) => {
    const of = pos < from ? placementOf(node) : null;
    return of !== null && placements[of] !== undefined;
  });
  return (last && placements[placementOf(last.node)!]?.entry) ?? '';
}
