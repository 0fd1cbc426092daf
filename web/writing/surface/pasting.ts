import { Fragment, Slice, type Node as EditorNode, type Schema } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { Placements } from '#core/draft';
import { attrsOf, placementsOf, setPlacements } from '../../editor';

type Rename = ReadonlyMap<string, string>;

const idsIn = (slice: Slice): Set<string> => {
  const ids = new Set<string>();
  slice.content.descendants((node) => {
    const own = node.type.name === 'blank' ? attrsOf(node).placement : null;
    if (own) ids.add(own);
    for (const mark of node.marks) if (mark.type.name === 'placed') ids.add(String(mark.attrs.placement));
  });
  return ids;
};

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

/** What is folded away is adopted with what it keeps; where nothing of it belongs here, it goes. */
function adoptFolded(
  node: EditorNode,
  rename: Rename,
  schema: Schema,
  marks: EditorNode['marks'],
): EditorNode | null {
  const kept = Fragment.fromJSON(schema, node.attrs.content as unknown[]);
  const content: unknown[] = [];
  let belongs = false;
  kept.forEach((child) => {
    belongs ||= child.marks.some(
      (mark) => mark.type.name === 'when' && rename.has(String(mark.attrs.placement)),
    );
    const adopted = adopt(child, rename, schema);
    if (adopted) content.push(adopted.toJSON());
  });
  return belongs && content.length > 0 ? node.type.create({ ...node.attrs, content }, null, marks) : null;
}

/** A pasted node with its placements under their new ids; what belongs to none here becomes plain words. */
function adopt(node: EditorNode, rename: Rename, schema: Schema): EditorNode | null {
  const isOfThis = node.marks.some(
    ({ type, attrs }) => type.name === 'placed' && rename.has(String(attrs.placement)),
  );
  const marks = node.marks.flatMap((mark) => {
    // What was confirmed for another case wants confirming for this one.
    if (mark.type.name === 'confirmed' && !isOfThis) return [schema.marks.confirm!.create()];
    if (mark.type.name !== 'placed' && mark.type.name !== 'when') return [mark];
    const id = rename.get(String(mark.attrs.placement));
    return id ? [mark.type.create({ ...mark.attrs, placement: id })] : [];
  });
  if (node.type.name === 'folded') return adoptFolded(node, rename, schema, marks);
  if (node.type.name === 'number' || node.type.name === 'reference') {
    const key = node.type.name === 'number' ? 'id' : 'to';
    const [placement, own] = String(node.attrs[key]).split('/');
    const id = rename.get(placement ?? '');
    return node.type.create(id ? { ...node.attrs, [key]: `${id}/${own}` } : node.attrs, null, marks);
  }
  if (node.type.name !== 'blank') {
    const content: EditorNode[] = [];
    node.content.forEach((child) => {
      const kept = adopt(child, rename, schema);
      if (kept) content.push(kept);
    });
    return (node.isText ? node : node.copy(Fragment.from(content))).mark(marks);
  }
  const { placement, text } = attrsOf(node);
  const id = placement === null ? undefined : rename.get(placement);
  if (id) return node.type.create({ ...node.attrs, placement: id }, null, marks);
  return text === '' ? null : schema.text(text, marks);
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
        const ids = idsIn(slice);
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
