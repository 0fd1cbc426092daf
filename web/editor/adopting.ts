import { Fragment, type Node as EditorNode, type Schema } from '@tiptap/pm/model';
import { attrsOf } from './blanks';

/** What placements are called in the place they are brought to, by what they were called. */
export type Rename = ReadonlyMap<string, string>;

/** The placements of which something stands in some nodes. */
export function placementIdsIn(content: Fragment): Set<string> {
  const ids = new Set<string>();
  content.descendants((node) => {
    const own = node.type.name === 'blank' ? attrsOf(node).placement : null;
    if (own) ids.add(own);
    for (const mark of node.marks) if (mark.type.name === 'placed') ids.add(String(mark.attrs.placement));
  });
  return ids;
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

/** A node brought from elsewhere with its placements under their new ids; what belongs to none here becomes plain words, or null. */
export function adopt(node: EditorNode, rename: Rename, schema: Schema): EditorNode | null {
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
