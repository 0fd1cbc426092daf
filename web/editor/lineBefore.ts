import type { EditorState } from '@tiptap/pm/state';
import { attrsOf } from './blanks';

/** What is looked at before the caret: longer than any cue with its lead-in, and than four words. */
const LOOKED_AT = 80;

/**
 * The end of the line before a position: one character for each step of the document: a blank counts as the
 * last letter of its answer, so that a cue does not fire at the end of a word. `coming` is what is on its way into the
 * text there.
 */
export function lineBefore(state: EditorState, pos: number, coming = ''): string {
  const $pos = state.doc.resolve(pos);
  const from = Math.max(0, $pos.parentOffset + coming.length - LOOKED_AT);
  const there = $pos.parent.textBetween(from, $pos.parentOffset, undefined, (leaf) =>
    leaf.type.name === 'blank' ? attrsOf(leaf).text.slice(-1) || '\uFFFC' : '\n',
  );
  return there + coming;
}

/** Whether the caret is in code, where nothing is offered and no cue fires. */
export const isCode = (state: EditorState) =>
  state.selection.$from.marks().some((mark) => mark.type.name === 'code');
