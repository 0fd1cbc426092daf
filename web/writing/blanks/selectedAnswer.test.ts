import { expect, test } from '@jest/globals';
import { NodeSelection, TextSelection, type EditorState } from '@tiptap/pm/state';
import { blanksIn, placeEntry } from '../../editor';
import { entryOf, leafOf, requestOf } from '../../testing/leafState';
import { lastSelected, rememberSelected } from './selectedAnswer';

const begun = () => {
  const state = leafOf(['The left wing is bruised. |'], [rememberSelected()]);
  return state.apply(placeEntry(state, 27, 27, requestOf(entryOf('Found', 'It has [what].'), 'p')));
};
const select = (state: EditorState, from: number, to: number) =>
  state.apply(state.tr.setSelection(TextSelection.create(state.doc, from, to)));
const toBlank = (state: EditorState) =>
  state.apply(state.tr.setSelection(NodeSelection.create(state.doc, blanksIn(state.doc)[0]!.pos)));

test('the words selected before one goes to a blank are remembered there', () => {
  expect(lastSelected(toBlank(select(begun(), 5, 14)))).toBe('left wing');
});

test('with the caret put into the text they are forgotten', () => {
  const state = toBlank(select(select(begun(), 5, 14), 3, 3));
  expect(lastSelected(state)).toBe('');
});

test('spaces around and within are as in a line, and nothing is no answer', () => {
  expect(lastSelected(select(begun(), 4, 15))).toBe('left wing');
  expect(lastSelected(select(begun(), 4, 5))).toBe('');
});
