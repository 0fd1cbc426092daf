import { expect, test } from '@jest/globals';
import { TextSelection, type EditorState } from '@tiptap/pm/state';
import { entryOf, leafOf, requestOf } from '../testing/leafState';
import { entryBefore } from './entryBefore';
import { placeEntry } from './placing';

const at = (state: EditorState, pos: number) =>
  state.apply(state.tr.setSelection(TextSelection.create(state.doc, pos)));

test('the entry placed last before the caret, however far before; none before the first', () => {
  let state = leafOf(['Begun. |', '', 'On and on.']);
  const entry = { ...requestOf(entryOf('Fed', 'It has [food] today.'), 'p') };
  state = state.apply(placeEntry(state, 8, 8, entry));
  const id = entry.entry.id;
  expect(entryBefore(at(state, 1))).toBe('');
  expect(entryBefore(at(state, 7))).toBe('');
  expect(entryBefore(at(state, 12))).toBe(id);
  expect(entryBefore(at(state, state.doc.content.size - 1))).toBe(id);
});
