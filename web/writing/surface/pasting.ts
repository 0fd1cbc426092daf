import { Fragment, Slice, type Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { Placements } from '#core/draft';
import { adopt, attrsOf, placementIdsIn, placementsOf, setPlacements } from '../../editor';

/** Placement ids that the document no longer shows: what is pasted was cut, and may keep its id. */
function isGone(doc: EditorNode, id: string): boolean {
  let found = false;
  doc.descendants((node) => {
    const own = node.type.name === 'blank' && attrsOf(node).placement === id;
    if (own || node.marks.some((mark) => mark.type.name === 'placed' && mark.attrs.placement === id))
      found = true;
    return !found;
  });
  return !found;
}

/**
 * Pasting words with blanks. A copy within the draft becomes a placement of its own, so that the two can be
 * answered apart; cut words keep theirs. From another draft only the words come, since answers of one
 * person's case must not live on in another's.
 */
export function pasting(newId: () => string): Plugin {
  return new Plugin({
    props: {
      handlePaste: (view, _event, slice) => {
        const ids = placementIdsIn(slice.content);
        const blanks = ids.size > 0 || hasBlank(slice);
        if (!blanks) return false;
        const placements = placementsOf(view.state.doc);
        const known = [...ids].filter((id) => placements[id]);
        const rename = new Map(known.map((id) => [id, isGone(view.state.doc, id) ? id : newId()]));
        const nodes: EditorNode[] = [];
        slice.content.forEach((node) => {
          const kept = adopt(node, rename, view.state.schema);
          if (kept) nodes.push(kept);
        });
        const adopted = new Slice(Fragment.from(nodes), slice.openStart, slice.openEnd);
        const copies: Placements = Object.fromEntries(known.map((id) => [rename.get(id)!, placements[id]!]));
        const tr = view.state.tr.replaceSelection(adopted);
        view.dispatch(setPlacements(tr, { ...placements, ...copies }).scrollIntoView());
        return true;
      },
    },
  });
}

function hasBlank(slice: Slice): boolean {
  let found = false;
  slice.content.descendants((node) => {
    found ||= node.type.name === 'blank';
  });
  return found;
}
