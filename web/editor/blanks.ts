import type { Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection, type EditorState } from '@tiptap/pm/state';
import type { Field } from '#core/entry';
import type { BlankAttrs } from '#core/passage';
import { placementsOf } from './placements';
import { specialsIn } from './specials';

/** A blank on the page: where it stands and what it is. */
export interface BlankAt {
  pos: number;
  attrs: BlankAttrs;
}

export const attrsOf = (node: EditorNode): BlankAttrs => node.attrs as BlankAttrs;

/** All blanks of a document, in its order. */
export const blanksIn = (doc: EditorNode): BlankAt[] =>
  specialsIn(doc)
    .filter(({ node }) => node.type.name === 'blank')
    .map(({ node, pos }) => ({ pos, attrs: attrsOf(node) }));

/** The blank that is selected: the current one. Null when the caret is in the text. */
export function currentBlank(state: EditorState): BlankAt | null {
  const { selection } = state;
  if (!(selection instanceof NodeSelection) || selection.node.type.name !== 'blank') return null;
  return { pos: selection.from, attrs: attrsOf(selection.node) };
}

/** The field a blank asks for, as its placement declares it. */
export function fieldOf(doc: EditorNode, { placement, field }: BlankAttrs): Field | null {
  const placed = placement === null ? undefined : placementsOf(doc)[placement];
  return placed?.fields.find(({ id }) => id === field) ?? null;
}

/**
 * Whether a person is asked for a blank's answer. What is worked out, or goes by turns, comes by itself; and where the record may say
 * something and says nothing, nothing is missing: that is stepped onto with the arrows or the mouse.
 */
export function isAsked(doc: EditorNode, attrs: BlankAttrs): boolean {
  const field = fieldOf(doc, attrs);
  if (field?.kind === 'detail') return field.required;
  return field?.kind !== 'computed' && field?.kind !== 'alternates';
}

/** From where to where a placement's words and blanks reach; null when none of it is left. */
export function placementRange(doc: EditorNode, placement: string): { from: number; to: number } | null {
  let from = -1;
  let to = -1;
  for (const { node, pos } of specialsIn(doc)) {
    const own = node.type.name === 'blank' && attrsOf(node).placement === placement;
    const marked = node.marks.some(
      (mark) => mark.type.name === 'placed' && mark.attrs.placement === placement,
    );
    if (!own && !marked) continue;
    if (from < 0) from = pos;
    to = pos + node.nodeSize;
  }
  return from < 0 ? null : { from, to };
}

/** The placement the caret or selection is in; null outside any. */
export function placementAt(state: EditorState): string | null {
  const blank = currentBlank(state);
  if (blank) return blank.attrs.placement;
  const { $from } = state.selection;
  const marks = [...($from.nodeBefore?.marks ?? []), ...($from.nodeAfter?.marks ?? [])];
  const beside = (node: EditorNode | null | undefined) =>
    node?.marks.find((mark) => mark.type.name === 'placed')?.attrs.placement as string | undefined;
  const [before, after] = [beside($from.nodeBefore), beside($from.nodeAfter)];
  if (marks.length === 0) return null;
  return before ?? after ?? null;
}
