import { Plugin, PluginKey, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { currentBlank, stepToGap, syncSelection } from '../../editor';
import { stepTo } from '../surface/blankKeys';
import { lineOfBlank, typeIntoBlank } from '../surface/whereKeysGo';

/** The keys that put the selected words into a blank. */
export const SELECTION_KEY = 'Alt + S';

/** More than an answer may be is not kept. */
const MOST_LETTERS = 2000;

const remembered = new PluginKey<string>('selectedAnswer');

function wordsSelected({ doc, selection }: EditorState): string {
  if (!(selection instanceof TextSelection) || selection.empty) return '';
  const words = doc.textBetween(selection.from, selection.to, ' ', (node) => String(node.attrs.text ?? ' '));
  const line = words.replace(/\s+/g, ' ').trim();
  return line.length > MOST_LETTERS ? '' : line;
}

/** The words that were selected last on the leaf; '' where none were, or once the caret has gone elsewhere in the text. */
export const lastSelected = (state: EditorState): string => remembered.getState(state) ?? '';

/** Forgets them where the caret is put into the text again: what is meant is then no longer that. */
function next(before: string, tr: Transaction, state: EditorState): string {
  const words = wordsSelected(state);
  if (words !== '') return words;
  const isInText = tr.selectionSet && state.selection instanceof TextSelection;
  return isInText ? '' : before;
}

/** Puts the words selected last into the current blank, where it is typed into, in place of what stands there. */
export function takeSelected(view: EditorView): boolean {
  const words = lastSelected(view.state);
  const line = lineOfBlank(view);
  if (words === '' || !line) return false;
  line.select();
  return typeIntoBlank(view, words);
}

/**
 * The words selected on the leaf as an answer: on a blank the words selected before one went to it; with words selected, at the next gap
 * from there that is typed into. Returns whether they were put.
 */
export function answerWithSelected(view: EditorView): boolean {
  syncSelection(view);
  if (!currentBlank(view.state) && wordsSelected(view.state) !== '') {
    const tr = stepToGap(view.state);
    if (tr) stepTo(view, tr);
  }
  return takeSelected(view);
}

/** Remembers the words that were selected on a leaf. */
export const rememberSelected = (): Plugin<string> =>
  new Plugin<string>({
    key: remembered,
    state: { init: () => '', apply: (tr, before, _old, state) => next(before, tr, state) },
  });
