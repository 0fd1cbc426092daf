import { expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import { fillersOf } from '#core/transcript';
import { leafOf } from '../testing/leafState';
import {
  disfluentPlaces,
  markDisfluencies,
  markedDisfluencies,
  toggleDisfluency,
  unmarkDisfluencies,
} from './disfluencies';

const FILLERS = fillersOf('en');
const leaf = () => leafOf(['Um, we went.', 'It was the the wall.|'], [history()]);
const words = (state: EditorState) => disfluentPlaces(state.doc, FILLERS).map((place) => place.words);
const select = (state: EditorState, from: number, to: number) =>
  state.apply(state.tr.setSelection(TextSelection.create(state.doc, from, to)));

test('what is marked is found no more, in each line; one undo takes the marks of a pass off', () => {
  const state = leaf();
  const places = disfluentPlaces(state.doc, FILLERS);
  expect(places.map(({ before, words: found, behind }) => [before, found, behind])).toEqual([
    ['', 'Um, ', 'we went.'],
    ['It was ', 'the ', 'the wall.'],
  ]);
  let marked = state.apply(markDisfluencies(state, places));
  expect([words(marked), markedDisfluencies(marked.doc)]).toEqual([[], 2]);
  expect(marked.doc.textContent).toBe(state.doc.textContent);
  expect(words(marked.apply(unmarkDisfluencies(marked)))).toEqual(['Um, ', 'the ']);
  undo(marked, (tr: Transaction) => (marked = marked.apply(tr)));
  expect(markedDisfluencies(marked.doc)).toBe(0);
});

test('selected words are marked by hand, and the mark taken off again; nothing selected is nothing marked', () => {
  const state = leaf();
  expect(toggleDisfluency(state)).toBeNull();
  const selected = select(state, 5, 8);
  const marked = selected.apply(toggleDisfluency(selected)!);
  expect(markedDisfluencies(marked.doc)).toBe(1);
  // A selection of which a part is marked is marked whole.
  const wider = select(marked, 1, 10);
  const whole = wider.apply(toggleDisfluency(wider)!);
  expect(whole.doc.rangeHasMark(1, 4, whole.schema.marks.disfluency!)).toBe(true);
  const off = whole.apply(toggleDisfluency(whole)!);
  expect(markedDisfluencies(off.doc)).toBe(0);
});
