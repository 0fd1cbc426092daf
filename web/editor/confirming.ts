import type { Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';

import { specialsIn } from './specials';

/** A statement that is to be confirmed: from where to where it reaches, and its words. */
export interface Statement {
  from: number;
  to: number;
  words: string;
}

const isOpen = (node: EditorNode) => node.marks.some(({ type }) => type.name === 'confirm');
const wordsOf = (node: EditorNode): string => node.text ?? (node.attrs.text as string | undefined) ?? '';

/** All statements still to be confirmed, in the order of the text: stretches of one line that carry the mark. */
export function statementsIn(doc: EditorNode): Statement[] {
  const found: Statement[] = [];
  for (const { node, pos } of specialsIn(doc)) {
    if (!isOpen(node)) continue;
    const last = found.at(-1);
    if (last?.to === pos) {
      last.to += node.nodeSize;
      last.words += wordsOf(node);
    } else found.push({ from: pos, to: pos + node.nodeSize, words: wordsOf(node) });
  }
  return found;
}

/** The statement the caret or the current blank stands in; null outside any. */
export function statementAt(state: EditorState): Statement | null {
  const { from } = state.selection;
  return statementsIn(state.doc).find((one) => one.from <= from && from < one.to) ?? null;
}

/** A transaction that puts the caret at the start of a statement. */
export function stepToStatement(state: EditorState, { from }: Statement): Transaction {
  return state.tr.setSelection(TextSelection.create(state.doc, from)).scrollIntoView();
}

/** A transaction that confirms the statement at the caret and goes on to the next one; null where none stands. */
export function confirmHere(state: EditorState): Transaction | null {
  const here = statementAt(state);
  if (!here) return null;
  const all = statementsIn(state.doc);
  const next = all.find(({ from }) => from > here.from) ?? all.find(({ from }) => from !== here.from);
  const { confirm, confirmed } = state.schema.marks;
  const tr = state.tr
    .removeMark(here.from, here.to, confirm)
    .addMark(here.from, here.to, confirmed!.create());
  const pos = next ? next.from : here.to;
  return tr.setSelection(TextSelection.create(tr.doc, pos)).setStoredMarks([]).scrollIntoView();
}
