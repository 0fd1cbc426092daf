import type { Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { optionKeys, type ChoiceField } from '#core/entry';
import { answer } from '../editor/answering';
import { currentBlank, fieldOf } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { stepOn, stepOut, stepToBlank } from '../editor/stepping';
import { giveBack } from './cueFiring';

/** Dispatches a step, and gives the keys to the text when the blank it leads to takes no typing. */
export function stepTo(view: EditorView, tr: Transaction): void {
  view.dispatch(tr);
  const blank = currentBlank(view.state);
  const field = blank && fieldOf(view.state.doc, blank.attrs);
  if (!field || field.kind === 'choice') view.focus();
}

/** The options chosen in the current blank of a choice. */
export function chosenIn(view: EditorView, field: ChoiceField): string[] {
  const blank = currentBlank(view.state);
  const given = placementsOf(view.state.doc)[blank?.attrs.placement ?? '']?.answers[field.id];
  return given?.kind === 'chosen' ? given.options : [];
}

/** Picks an option of the current blank, or takes it back; of a choice of one, the last picked stands. */
export function pick(view: EditorView, field: ChoiceField, option: string): void {
  const blank = currentBlank(view.state);
  if (!blank?.attrs.placement) return;
  const chosen = chosenIn(view, field);
  const has = chosen.includes(option);
  const others = field.many ? chosen.filter((id) => id !== option) : [];
  const options = has ? others : [...others, option];
  const given = options.length > 0 ? ({ kind: 'chosen', options } as const) : null;
  view.dispatch(answer(view.state, blank.attrs.placement, field.id, given));
}

function optionFor(field: ChoiceField, key: string): string | undefined {
  if (/^[1-9]$/.test(key)) return field.options[Number(key) - 1]?.id;
  const letters = optionKeys(field.options.map(({ label }) => label));
  return field.options[letters.indexOf(key.toLocaleLowerCase())]?.id;
}

/** Letters and numbers on a choice; other letters do nothing there, rather than replace the blank. */
function keyOnChoice(view: EditorView, field: ChoiceField, event: KeyboardEvent): boolean {
  const blank = currentBlank(view.state)!;
  if (event.key === 'Backspace' || event.key === 'Delete') {
    if (chosenIn(view, field).length === 0) return false;
    view.dispatch(answer(view.state, blank.attrs.placement ?? '', field.id, null));
    return true;
  }
  if (event.key.length !== 1) return false;
  const option = optionFor(field, event.key);
  if (option) pick(view, field, option);
  return true;
}

function step(view: EditorView, event: KeyboardEvent): Transaction | null {
  const { state } = view;
  if (event.key === 'Tab') return stepToBlank(state, event.shiftKey ? -1 : 1) ?? stepOut(state);
  if (event.key === 'Enter') return stepOn(state);
  return event.key === 'Escape' ? stepOut(state) : null;
}

/**
 * A key pressed while a blank is current, wherever the keys then go: to its own text field or to the text.
 * `empty`: nothing stands in the field. Returns whether the key was used.
 */
export function keyOnBlank(view: EditorView, event: KeyboardEvent, empty: boolean): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const blank = currentBlank(view.state);
  if (!blank || !view.editable) return false;
  if (event.key === 'Backspace' && empty && giveBack(view)) return true;
  const tr = step(view, event);
  if (tr) {
    stepTo(view, tr);
    return true;
  }
  const field = fieldOf(view.state.doc, blank.attrs);
  return field?.kind === 'choice' ? keyOnChoice(view, field, event) : false;
}
