import type { Editor } from '@tiptap/react';
import { lineBefore } from '../../editor';

/** The words a term is made of: what is selected, or the word before the caret. */
export function termHere({ state }: Editor): string {
  const { from, to, empty } = state.selection;
  if (!empty) return state.doc.textBetween(from, to, ' ').trim().slice(0, 120);
  return /[^\s.,;:!?()]*$/.exec(lineBefore(state, from))![0];
}
