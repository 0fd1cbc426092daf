import type { Node as EditorNode } from '@tiptap/pm/model';
import { NodeSelection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { blanksIn, currentBlank, isAsked, type BlankAt } from './blanks';
import { placementsOf } from './placements';
import { statementsIn, stepToStatement } from './confirming';
import { goOnAfter } from './placing';

/** Selects the blank at a position, which makes it the current one. */
const stepOnto = (state: EditorState, pos: number): Transaction =>
  state.tr.setSelection(NodeSelection.create(state.doc, pos)).scrollIntoView();

/**
 * The blanks that a person is asked about, in the order of the text: each field of a placement once, however
 * many blanks it has, and none that the record has answered or that is worked out. Those are stepped onto with the arrows or the
 * mouse: going on by Tab and typing must not write over what the record says.
 */
export function askedBlanks(doc: EditorNode): BlankAt[] {
  const placements = placementsOf(doc);
  const seen = new Set<string>();
  return blanksIn(doc).filter(({ attrs }) => {
    const { placement, field } = attrs;
    if (!isAsked(doc, attrs)) return false;
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

/**
 * Where Tab goes: to the next blank that is asked about, or the one before it; with none left that way, off the blank to its side,
 * so that the next Tab leaves the leaf. Null where there is nothing that way.
 */
export const stepByTab = (state: EditorState, direction: 1 | -1): Transaction | null =>
  stepToBlank(state, direction) ?? stepOut(state, direction === 1 ? 'after' : 'before');

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

/** Where references stand whose numbers are gone. */
function lostReferences(doc: EditorNode): number[] {
  const numbers = new Set<string>();
  const references: { pos: number; to: string }[] = [];
  doc.descendants((node, pos) => {
    if (node.type.name === 'number') numbers.add(String(node.attrs.id));
    if (node.type.name === 'reference') references.push({ pos, to: String(node.attrs.to) });
  });
  return references.filter(({ to }) => !numbers.has(to)).map(({ pos }) => pos);
}

/** Onto the first reference to a number that is gone. */
export function stepToReference(state: EditorState, to: string): Transaction | null {
  let found = -1;
  state.doc.descendants((node, pos) => {
    if (found < 0 && node.type.name === 'reference' && node.attrs.to === to) found = pos;
  });
  return found < 0 ? null : stepOnto(state, found);
}

/** Places where something is still to be done, in the order of the text: gaps, statements to confirm, lost references. */
function openPlaces(state: EditorState): { pos: number; step: () => Transaction }[] {
  const open = blanksIn(state.doc).filter(({ attrs }) => attrs.state === 'gap');
  const asked = open.filter(({ attrs }) => isAsked(state.doc, attrs));
  // What is worked out follows from what is asked; with nothing left to ask it says itself why it has no value.
  const gaps = (asked.length > 0 ? asked : open).map(({ pos }) => ({
    pos,
    step: () => stepOnto(state, pos),
  }));
  const statements = statementsIn(state.doc).map((one) => ({
    pos: one.from,
    step: () => stepToStatement(state, one),
  }));
  const lost = lostReferences(state.doc).map((pos) => ({ pos, step: () => stepOnto(state, pos) }));
  return [...gaps, ...statements, ...lost].sort((a, b) => a.pos - b.pos);
}

/** To the first gap of the draft or statement to confirm; null when there is none. */
export function stepToFirstGap(state: EditorState): Transaction | null {
  return openPlaces(state)[0]?.step() ?? null;
}

/** To the next gap or statement to confirm anywhere in the draft, beginning again at its start; null when none is left. */
export function stepToGap(state: EditorState): Transaction | null {
  const places = openPlaces(state);
  const next = places.find(({ pos }) => pos > state.selection.from) ?? places[0];
  return next ? next.step() : null;
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
