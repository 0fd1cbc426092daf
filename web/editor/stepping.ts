import type { Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { blanksIn, currentBlank, type BlankAt } from './blanks';
import { placementsOf } from './placements';
import { goOnAfter } from './placing';

/** Selects the blank at a position, which makes it the current one. */
const stepOnto = (state: EditorState, pos: number): Transaction =>
  state.tr.setSelection(NodeSelection.create(state.doc, pos)).scrollIntoView();

/**
 * The blanks that a person is asked about, in the order of the text: each field of a placement once, however
 * many blanks it has, and none that the record has answered. Those are stepped onto with the arrows or the
 * mouse: going on by Tab and typing must not write over what the record says.
 */
export function askedBlanks(doc: EditorNode): BlankAt[] {
  const placements = placementsOf(doc);
  const seen = new Set<string>();
  return blanksIn(doc).filter(({ attrs: { placement, field } }) => {
    const key = `${placement} ${field}`;
    const given = placements[placement ?? '']?.answers[field];
    if (seen.has(key) || given?.kind === 'detail' || (given?.kind === 'person' && given.known)) return false;
    seen.add(key);
    return true;
  });
}

/** To the next blank after the caret that is asked about (or the one before it); null when there is none that way. */
export function stepToBlank(state: EditorState, direction: 1 | -1): Transaction | null {
  const { from, to } = state.selection;
  const blanks = askedBlanks(state.doc);
  const target =
    direction === 1
      ? blanks.find(({ pos }) => pos >= (currentBlank(state) ? to : from))
      : blanks.reverse().find(({ pos }) => pos < from);
  return target ? stepOnto(state, target.pos) : null;
}

/** On from the current blank: to the placement's next, or behind the placement when it was the last. */
export function stepOn(state: EditorState): Transaction | null {
  const current = currentBlank(state);
  if (!current) return null;
  const { placement } = current.attrs;
  const next = askedBlanks(state.doc).find(
    ({ pos, attrs }) => pos > current.pos && attrs.placement === placement,
  );
  if (next) return stepOnto(state, next.pos);
  return placement === null ? null : goOnAfter(state.tr, placement);
}

/** To the first gap of the draft; null when there is none. */
export function stepToFirstGap(state: EditorState): Transaction | null {
  const gap = blanksIn(state.doc).find(({ attrs }) => attrs.state === 'gap');
  return gap ? stepOnto(state, gap.pos) : null;
}

/** To the next gap anywhere in the draft, beginning again at its start; null when there is no gap left. */
export function stepToGap(state: EditorState): Transaction | null {
  const gaps = blanksIn(state.doc).filter(({ attrs }) => attrs.state === 'gap');
  const next = gaps.find(({ pos }) => pos > state.selection.from) ?? gaps[0];
  return next ? stepOnto(state, next.pos) : null;
}

/** Onto the first blank of a field of a placement. */
export function stepToField(state: EditorState, placement: string, field: string): Transaction | null {
  const found = blanksIn(state.doc).find(
    ({ attrs }) => attrs.placement === placement && attrs.field === field,
  );
  return found ? stepOnto(state, found.pos) : null;
}

/** The caret out of the current blank, to the text before or after it. */
export function stepOut(state: EditorState, side: 'before' | 'after' = 'after'): Transaction | null {
  const current = currentBlank(state);
  if (!current) return null;
  const pos = side === 'after' ? current.pos + 1 : current.pos;
  return state.tr.setSelection(TextSelection.create(state.doc, pos)).setStoredMarks([]);
}
