import { Plugin, PluginKey, type EditorState, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { isCode } from './lineBefore';

/** Where writing goes on right behind wording that was placed; null once it has gone on, or the caret is elsewhere. */
const key = new PluginKey<number | null>('goingOn');

/** Marks a change that puts the caret behind what was placed: what is typed next is joined to it. */
export const goingOn = (tr: Transaction): Transaction => tr.setMeta(key, tr.selection.from);

const OPENS = /[\s([{"'“‘/–—-]$/u;
const STOP = /[.!?…]$/u;

/** The character before a position in its line; '' at the line's start. */
function charBefore(state: EditorState, at: number): string {
  const $at = state.doc.resolve(at);
  const { nodeBefore } = $at;
  if (nodeBefore?.isText) return nodeBefore.text!.slice(-1);
  const shown = nodeBefore?.type.name === 'blank' ? String(nodeBefore.attrs.text) : '';
  return nodeBefore && nodeBefore.type.name !== 'hardBreak' ? shown.slice(-1) || 'x' : '';
}

/** A character typed right behind placed wording: a word gets its space, a second full stop is passed over. */
function typed(view: EditorView, from: number, to: number, text: string): boolean {
  const { state } = view;
  if (key.getState(state) !== from || from !== to || view.composing || isCode(state)) return false;
  const before = charBefore(state, from);
  if (/^[.!?]$/.test(text) && STOP.test(before)) {
    // The wording has its own; what was typed replaces it where it is another.
    const tr = text === before ? state.tr : state.tr.insertText(text, from - 1, from);
    view.dispatch(tr.setMeta(key, tr.selection.from));
    return true;
  }
  if (!/^[\p{L}\p{N}([“‘"]$/u.test(text) || before === '' || OPENS.test(before)) return false;
  view.dispatch(state.tr.insertText(` ${text}`, from, to).scrollIntoView());
  return true;
}

/** Joins what is typed to wording that was just placed: a space before a word, no doubled full stop. */
export const joiningOn = (): Plugin<number | null> =>
  new Plugin<number | null>({
    key,
    state: {
      init: () => null,
      apply: (tr, value) => {
        const meta = tr.getMeta(key) as number | undefined;
        if (meta !== undefined) return meta;
        // What is added within the same step (a number, a time) is no going on.
        if (tr.getMeta('appendedTransaction') && value !== null) return tr.mapping.map(value);
        return tr.docChanged || tr.selectionSet ? null : value;
      },
    },
    props: { handleTextInput: (view, from, to, text) => typed(view, from, to, text) },
  });
