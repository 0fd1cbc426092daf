import type { Mark, Node as EditorNode } from '@tiptap/pm/model';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';

/** The conditions that a node's words stand under, the outermost first. */
export const conditionsOf = (marks: readonly Mark[]): string[] =>
  marks.filter(({ type }) => type.name === 'when').map(({ attrs }) => attrs.condition as string);

/** The conditions at the caret, or of what is selected, the outermost first. */
export function conditionsAt(state: EditorState): string[] {
  const { $from, empty } = state.selection;
  if (!empty) return conditionsOf($from.nodeAfter?.marks ?? []);
  // Between two passages the caret belongs to the one before it, as what is typed there does.
  return conditionsOf(state.storedMarks ?? $from.marks());
}

/** From where to where the passage of a condition reaches around a position, within its paragraph. */
export function passageAround(
  doc: EditorNode,
  pos: number,
  condition: string,
): { from: number; to: number } | null {
  const $pos = doc.resolve(pos);
  const { parent } = $pos;
  const start = $pos.start();
  let found: { from: number; to: number } | null = null;
  let run: { from: number; to: number } | null = null;
  const close = () => {
    if (run && run.from <= pos && pos <= run.to && !found) found = run;
    run = null;
  };
  parent.forEach((node, offset) => {
    const from = start + offset;
    if (!conditionsOf(node.marks).includes(condition)) return close();
    run = { from: run?.from ?? from, to: from + node.nodeSize };
  });
  close();
  return found;
}

/** A transaction that makes the selected words an optional passage. */
export function makeOptional(state: EditorState, condition: string): Transaction {
  const { from, to } = state.selection;
  const mark = state.schema.marks.when!.create({ condition, placement: null });
  const tr = state.tr.addMark(from, to, mark);
  // The caret goes into the passage, where its condition is told and can be changed.
  return tr.setSelection(TextSelection.create(tr.doc, to)).setStoredMarks(null).scrollIntoView();
}

/** A transaction that lets the passage at the caret stand always; null where it is in none. */
export function makeAlways(state: EditorState, condition: string): Transaction | null {
  const range = passageAround(state.doc, state.selection.from, condition);
  if (!range) return null;
  const mark = state.schema.marks.when!.create({ condition, placement: null });
  return state.tr.removeMark(range.from, range.to, mark).setStoredMarks(null);
}

/**
 * A transaction that goes on behind the passage at the caret: what is typed next stands always. Null where the caret is
 * in none.
 */
export function goOnBehind(state: EditorState): Transaction | null {
  const inner = conditionsAt(state).at(-1);
  const range = inner === undefined ? null : passageAround(state.doc, state.selection.from, inner);
  if (!range) return null;
  const tr = state.tr.setSelection(TextSelection.create(state.doc, range.to));
  const marks = state.doc.resolve(range.to).marks();
  return tr.setStoredMarks(marks.filter(({ type }) => type.name !== 'when')).scrollIntoView();
}
