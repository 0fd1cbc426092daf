import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { countedOf, numbersOf } from '#core/numbering';
import { specialsIn, type SpecialAt } from './specials';
import type { NumberInline, ReferenceInline } from '#core/passage';

const countedIn = (doc: EditorNode): SpecialAt[] =>
  specialsIn(doc).filter(({ node }) => node.type.name === 'number' || node.type.name === 'reference');

const WRITTEN = 'numbersWritten';

/** Whether a transaction writes numbers and references as they now read, and nothing else. */
export const isNumbering = (tr: Transaction): boolean => tr.getMeta(WRITTEN) === true;

/** Writes every number and reference anew, in the order of the text; null when all are right. */
function renumbered(state: EditorState): Transaction | null {
  const found = countedIn(state.doc);
  if (found.length === 0) return null;
  const texts = numbersOf(
    found.map(({ node }) => countedOf(node.toJSON() as NumberInline | ReferenceInline)),
  );
  const tr = state.tr.setMeta(WRITTEN, true);
  found.forEach(({ pos, node }, at) => {
    if (node.attrs.text !== texts[at]) tr.setNodeAttribute(pos, 'text', texts[at]);
  });
  return tr.docChanged ? tr : null;
}

/** Keeps numbers right whatever is inserted, moved, deleted or undone, as a part of the same step of history. */
export const numbering = (): Plugin =>
  new Plugin({
    appendTransaction: (transactions, _old, state) =>
      transactions.some(({ docChanged }) => docChanged) ? renumbered(state) : null,
    // A draft opened from the store, or one whose numbers were never written, is put right at once.
    view: (view) => {
      queueMicrotask(() => {
        // The text may have changed since: its numbers are read now.
        const tr = view.isDestroyed ? null : renumbered(view.state);
        if (tr) view.dispatch(tr.setMeta('addToHistory', false));
      });
      return {};
    },
  });

/** A number that can be referred to: what it reads, and the words of its line. */
export interface Numbered {
  id: string;
  list: string;
  text: string;
  line: string;
}

/** All numbers of a document that a reference can point to, in order. */
export function numbersIn(doc: EditorNode): Numbered[] {
  return countedIn(doc).flatMap(({ node, pos }) => {
    if (node.type.name !== 'number' || !node.attrs.id) return [];
    const line = doc.resolve(pos).parent.textBetween(0, doc.resolve(pos).parent.content.size, ' ', textOf);
    const { id, list, text } = node.attrs as NumberInline['attrs'];
    return [{ id, list, text, line }];
  });
}

const textOf = (node: EditorNode): string => (node.attrs.text as string | undefined) ?? '';

/** A transaction that puts a reference to a number at the caret, in place of what is selected. */
export function referTo(state: EditorState, { id, text }: Numbered): Transaction {
  const node = state.schema.nodes.reference!.create({ to: id, text });
  const tr = state.tr.replaceSelectionWith(node, true);
  return tr.setSelection(TextSelection.near(tr.doc.resolve(tr.selection.to))).scrollIntoView();
}
