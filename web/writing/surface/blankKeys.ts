import type { Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import type { Answer } from '#core/draft';
import { optionKeys, type Field } from '#core/entry';
import { MOST_BY_KEY, OTHER, pickablesOf, pickedIn, picking } from '#core/fill';
import {
  answer,
  currentBlank,
  fieldOf,
  confirmHere,
  placementsOf,
  goOnAfter,
  stepOn,
  stepOut,
  stepByTab,
} from '../../editor';
import { moveByMonth, walkProposed } from '../blanks/proposedAnswers';
import { giveBack } from '../cues/cueFiring';
import { isOwnKey } from './ownKeys';
import { giveKeys } from './whereKeysGo';

/** Id of the line in the margin where words of one's own are typed. */
export const OTHER_FIELD = 'other-words';

/** Id of the line in the margin where a choice of many is looked for. */
export const CHOICE_FILTER = 'choice-filter';

/** Dispatches a step, and gives the keys to where it leads. */
export function stepTo(view: EditorView, tr: Transaction): void {
  view.dispatch(tr);
  giveKeys(view);
}

/** The answer that the current blank has. */
function currentAnswer(view: EditorView, field: Field): Answer | undefined {
  const blank = currentBlank(view.state);
  return placementsOf(view.state.doc)[blank?.attrs.placement ?? '']?.answers[field.id];
}

/** Picks something for the current blank, or takes it back; of a choice of one, the last picked stands. */
export function pick(view: EditorView, field: Field, id: string): void {
  const blank = currentBlank(view.state);
  if (!blank?.attrs.placement) return;
  if (id === OTHER && !pickedIn(currentAnswer(view, field)).includes(OTHER)) {
    // Words of one's own are typed in the margin, beside the options they stand for.
    document.getElementById(OTHER_FIELD)?.focus();
    return;
  }
  const given = picking(field, currentAnswer(view, field), id);
  view.dispatch(answer(view.state, blank.attrs.placement, field.id, given));
}

function pickableBy(field: Field, key: string): string | undefined {
  const pickables = pickablesOf(field);
  if (/^[1-9]$/.test(key)) return pickables[Number(key) - 1]?.id;
  const letters = optionKeys(pickables.map(({ label }) => label));
  return pickables[letters.indexOf(key.toLocaleLowerCase())]?.id;
}

/** What was typed on a choice of one since its blank became current, and the answer that it had before. */
interface Typed {
  blank: string;
  letters: string;
  before: Answer | undefined;
}
const typedOn = new WeakMap<EditorView, Typed>();

/** The letters typed on the current blank so far; none once another key or the mouse came between. */
function typedSoFar(view: EditorView, field: Field): Typed {
  const { attrs } = currentBlank(view.state)!;
  const blank = `${attrs.placement} ${attrs.field}`;
  const known = typedOn.get(view);
  return known?.blank === blank ? known : { blank, letters: '', before: currentAnswer(view, field) };
}

/**
 * Goes on behind the placement with what is typed: whoever types on past a choice means the sentence. Letters of the same word
 * that picked something have not been meant so, and are given back with it.
 */
function typePast(view: EditorView, field: Field, key: string): boolean {
  const { attrs } = currentBlank(view.state)!;
  const { letters, before } = typedSoFar(view, field);
  const isWord = letters !== '' && /[\p{L}\p{N}'’-]/u.test(key);
  const isMany = field.kind === 'choice' && field.many;
  typedOn.delete(view);
  if (attrs.placement === null) return true;
  if (isWord && !isMany) view.dispatch(answer(view.state, attrs.placement, field.id, before ?? null));
  stepTo(view, goOnAfter(view.state.tr, attrs.placement));
  for (const letter of isWord && !isMany ? letters + key : key) typeAt(view, letter);
  return true;
}

/** Types a character at the caret as its key would: cues and joining hear of it. */
export function typeAt(view: EditorView, text: string): void {
  const { from, to } = view.state.selection;
  const insert = () => view.state.tr.insertText(text, from, to);
  const used = view.someProp('handleTextInput', (handle) => handle(view, from, to, text, insert));
  if (!used) view.dispatch(insert().scrollIntoView());
}

/** Letters typed before the line they look for options in was drawn, in the order of their keys. */
const typedAhead = new WeakMap<EditorView, string>();

/** Goes on typing in the margin, where the options are looked for: at once, or as soon as that is drawn. */
function goToFilter(view: EditorView, key: string): void {
  const isAwaited = typedAhead.has(view);
  const letters = (typedAhead.get(view) ?? '') + key;
  const line = document.getElementById(CHOICE_FILTER);
  typedAhead.delete(view);
  // All of them may have gone in with a key that came before this frame.
  if (letters === '') return;
  if (!line) {
    if (!currentBlank(view.state)) return;
    typedAhead.set(view, letters);
    if (key === '' || !isAwaited) requestAnimationFrame(() => goToFilter(view, ''));
    return;
  }
  line.focus();
  // As typed there: undo in the line, and what listens to it, hear of it.
  document.execCommand('insertText', false, letters);
}

/** Letters and numbers where an answer is picked; any other goes on with the sentence. */
function keyToPick(view: EditorView, field: Field, event: KeyboardEvent): boolean {
  const blank = currentBlank(view.state)!;
  if (event.key === 'Backspace' || event.key === 'Delete') {
    typedOn.delete(view);
    if (!currentAnswer(view, field)) return false;
    view.dispatch(answer(view.state, blank.attrs.placement ?? '', field.id, null));
    return true;
  }
  if (event.key.length !== 1) {
    typedOn.delete(view);
    return false;
  }
  if (pickablesOf(field).length > MOST_BY_KEY) {
    goToFilter(view, event.key);
    return true;
  }
  const id = pickableBy(field, event.key);
  if (!id) return typePast(view, field, event.key);
  const typed = typedSoFar(view, field);
  typedOn.set(view, { ...typed, letters: typed.letters + event.key });
  pick(view, field, id);
  return true;
}

/** Down on a blank without an answer takes what was answered last for the same person, where that is offered. */
function takeOffered(view: EditorView, field: Field): boolean {
  const blank = currentBlank(view.state)!;
  const { placement } = blank.attrs;
  const offered = placementsOf(view.state.doc)[placement ?? '']?.offered?.[field.id];
  if (!offered || placement === null || currentAnswer(view, field)) return false;
  view.dispatch(answer(view.state, placement, field.id, offered));
  return true;
}

function step(view: EditorView, event: KeyboardEvent): Transaction | null {
  const { state } = view;
  if (event.key === 'Tab') return stepByTab(state, event.shiftKey ? -1 : 1);
  if (event.key === 'Enter') return stepOn(state);
  return event.key === 'Escape' ? stepOut(state) : null;
}

/** Confirms the statement at the caret; false where none stands. */
export function confirm(view: EditorView): boolean {
  const tr = view.editable ? confirmHere(view.state) : null;
  if (tr) stepTo(view, tr);
  return tr !== null;
}

/** A key that gives an answer: what was answered last, or one of those to pick from. */
function keyToAnswer(view: EditorView, field: Field, event: KeyboardEvent): boolean {
  if (event.key === 'ArrowDown' && (takeOffered(view, field) || walkProposed(view, 1))) return true;
  if (event.key === 'ArrowUp' && walkProposed(view, -1)) return true;
  if (event.key === 'PageUp' || event.key === 'PageDown')
    return moveByMonth(view, event.key === 'PageUp' ? -1 : 1);
  return pickablesOf(field).length > 0 && keyToPick(view, field, event);
}

/**
 * A key pressed while a blank is current, wherever the keys then go: to its own text field or to the text.
 * `empty`: nothing stands in the field. Returns whether the key was used.
 */
export function keyOnBlank(view: EditorView, event: KeyboardEvent, empty: boolean): boolean {
  if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) return confirm(view);
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const blank = currentBlank(view.state);
  if (!blank || !view.editable) return false;
  if (event.key === 'Backspace' && empty && giveBack(view)) return true;
  if (event.key === 'Enter' && isOwnKey(view, event)) return true;
  const tr = step(view, event);
  if (tr) {
    stepTo(view, tr);
    return true;
  }
  const field = fieldOf(view.state.doc, blank.attrs);
  return field !== null && keyToAnswer(view, field, event);
}
