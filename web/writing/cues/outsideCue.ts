import { TextSelection, type EditorState } from '@tiptap/pm/state';
import { closerOf, type CueIndex } from '#core/cue';
import { isCode, lineBefore } from '../../editor';

/** A cue typed right before the caret that would bring something elsewhere, but is out of reach here. */
export interface OutsideCue {
  entry: string;
  typed: string;
  /** From where to where it stands in the text. */
  from: number;
  to: number;
}

/** The out-of-reach cue that ends at the caret; null for none, and for those that are plain words: these are written often. */
export function outsideCueAt(state: EditorState, outside: CueIndex | null): OutsideCue | null {
  if (!outside || !(state.selection instanceof TextSelection) || !state.selection.empty || isCode(state))
    return null;
  const caret = state.selection.from;
  const line = lineBefore(state, caret);
  const closer = closerOf(line.slice(-1));
  const atOnce = outside.find(line) ?? outside.find(line, 'space');
  const match = atOnce ?? (closer && outside.find(line.slice(0, -1), closer));
  if (!match || /^[\p{L}\p{N}]/u.test(match.typed)) return null;
  const end = caret - (atOnce ? 0 : 1);
  // The space that would have closed it goes with it; a mark stays.
  const to = closer === 'space' ? caret : end;
  return { entry: match.cue.entry, typed: match.typed, from: end - match.typed.length, to };
}
