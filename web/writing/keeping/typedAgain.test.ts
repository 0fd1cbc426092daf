import { expect, test } from '@jest/globals';
import { TextSelection } from '@tiptap/pm/state';
import { placeEntry } from '../../editor';
import { bareView, entryOf, leafOf, requestOf } from '../../testing/leafState';
import { typedAgain } from './typedAgain';

function typing(lines: readonly string[]) {
  const told: string[] = [];
  const bare = bareView(leafOf(lines, [typedAgain({ sentence: (one) => void told.push(one) })]));
  return { told, bare };
}

test('each sentence is told as it ends, by itself, with what is typed before it in the line left out', () => {
  const { told, bare } = typing(['Seen (twice.) |']);
  bare.type('It ate well. It slept! Did it? At 3');
  expect(told).toEqual(['It ate well.', 'It slept!', 'Did it?']);
});

test('a sentence that holds wording from the bank, or a blank, is not typed by hand', () => {
  const { told, bare } = typing(['|']);
  const state = bare.state();
  bare.view.dispatch(placeEntry(state, 1, 1, requestOf(entryOf('Fed', '[who] ate well'), 'p')));
  const end = bare.state().doc.content.size - 1;
  bare.view.dispatch(bare.state().tr.insertText(' and slept', end));
  const { tr, doc } = bare.state();
  bare.view.dispatch(tr.setSelection(TextSelection.atEnd(doc)));
  bare.type('.');
  expect(told).toEqual([]);
});
