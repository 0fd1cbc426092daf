import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { closeHistory } from '@tiptap/pm/history';
import { disfluenciesIn, type DisfluencyKind } from '#core/transcript';
import { placesInLines, type FoundPlace } from './placesInLines';

/** A filler, a stammer or a false start in a draft. */
export interface DisfluentPlace extends FoundPlace {
  kind: DisfluencyKind;
}

/** What in a draft is likely to be one and is not marked yet, in its order. */
export function disfluentPlaces(doc: EditorNode, fillers: readonly string[]): DisfluentPlace[] {
  const mark = doc.type.schema.marks.disfluency!;
  return placesInLines(doc, (line) => disfluenciesIn(line, fillers)).filter(
    ({ from, to }) => !doc.rangeHasMark(from, to, mark),
  );
}

/** Marks places, as a step of its own for undo. */
export function markDisfluencies(
  { tr, schema }: EditorState,
  places: readonly Pick<DisfluentPlace, 'from' | 'to'>[],
): Transaction {
  const mark = schema.marks.disfluency!.create();
  for (const { from, to } of places) tr.addMark(from, to, mark);
  return closeHistory(tr);
}

/** Takes the marks off a stretch, or off all the text. */
export const unmarkDisfluencies = (
  { tr, schema, doc }: EditorState,
  from = 0,
  to = doc.content.size,
): Transaction => closeHistory(tr.removeMark(from, to, schema.marks.disfluency));

/** Marks what is selected, or takes the mark off where all of it has it; null where nothing is selected. */
export function toggleDisfluency(state: EditorState): Transaction | null {
  const { from, to, empty } = state.selection;
  if (empty) return null;
  let isAll = true;
  state.doc.nodesBetween(from, to, ({ isText, marks }) => {
    if (isText && !marks.some(({ type }) => type.name === 'disfluency')) isAll = false;
  });
  return isAll ? unmarkDisfluencies(state, from, to) : markDisfluencies(state, [{ from, to }]);
}

/** How many stretches of a draft are marked. */
export function markedDisfluencies(doc: EditorNode): number {
  let count = 0;
  let end = -1;
  doc.descendants((node, pos) => {
    if (!node.isText || !node.marks.some(({ type }) => type.name === 'disfluency')) return;
    if (pos !== end) count += 1;
    end = pos + node.nodeSize;
  });
  return count;
}
