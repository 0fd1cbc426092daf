import { expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { turnsOf, wordsOfTurn } from '#core/transcript';
import { leafOf } from '../testing/leafState';
import { fromEditor } from './placements';
import { beginTurn } from './turns';
import { spokenPlaces, writeSpokenMarks } from './spokenMarks';

const said = (words: string): EditorState => {
  const begun = leafOf(['|'], [history()]);
  const turn = begun.apply(beginTurn(begun, 'w', 1000)!);
  return turn.apply(turn.tr.insertText(words));
};
const read = (state: EditorState) => turnsOf(fromEditor(state.doc)).map(wordsOfTurn);

test('marks that were said are written, a new line within the turn; one undo brings the words back', () => {
  const state = said('bramble ate full stop new line the swan comma too full stop');
  const places = spokenPlaces(state.doc, 'en');
  expect(places.map(({ words }) => words.trim())).toEqual([
    ...['full stop', 'new line t', 'comma t', 'full stop'],
  ]);
  let written = state.apply(writeSpokenMarks(state, places));
  expect(read(written)).toEqual(['bramble ate.\nThe swan, too.']);
  expect(spokenPlaces(written.doc, 'en')).toEqual([]);
  undo(written, (tr: Transaction) => (written = written.apply(tr)));
  expect(read(written)).toEqual(read(state));
});

test('those that are left stay as they were said', () => {
  const state = said('it came to a full stop comma they said');
  const comma = spokenPlaces(state.doc, 'en').filter(({ put }) => put.startsWith(','));
  expect(read(state.apply(writeSpokenMarks(state, comma)))).toEqual(['it came to a full stop, they said']);
});
