import { expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { entryOf, leafOf, requestOf } from '../testing/leafState';
import { addComment, commentsIn, copyComment, layComment, removeComment } from './comments';
import { addMarking, markingsIn, removeMarkings } from './markings';
import { moveBlock } from './moving';
import { placeEntry } from './placing';

const on = (block: number) => ({ from: { block, at: 0 }, to: { block, at: 2 } });
const begun = () => leafOf(['Well done.|', 'Seen.'], [history()]);
const commented = (state: EditorState) =>
  state.apply(addComment(state, { id: 'c', on: on(3), words: 'We', before: '' }));
const marked = (state: EditorState) =>
  state.apply(
    addMarking(state, {
      id: 'm',
      page: 1,
      at: { x: 10, y: 10 },
      size: 'normal',
      colour: 'ink',
      frame: 'none',
    } as never),
  );
const other = { on: on(1), words: 'It', before: '' };

/** Each act, with what it is done to, and what it does at where the keys are. */
const ACTS: [string, (state: EditorState) => EditorState, (state: EditorState) => Transaction | null][] = [
  ['a comment is deleted', commented, (state) => removeComment(state, 'c')],
  ['a comment is moved', commented, (state) => layComment(state, 'c', other)],
  ['a comment is copied', commented, (state) => copyComment(state, 'c', { id: 'd', ...other }, () => 'p')],
  ['a marking is deleted', marked, (state) => removeMarkings(state, ['m'])],
  [
    'an entry is placed',
    (state) => state,
    (state) => {
      const { from } = state.selection;
      return placeEntry(state, from, from, requestOf(entryOf('Fed', 'It ate.'), 'p'));
    },
  ],
  ['a paragraph is moved', (state) => state, (state) => moveBlock(state, 1)],
];

const wordsOf = (state: EditorState) => [
  state.doc.textContent,
  commentsIn(state.doc).map(({ comment }) => comment.words),
  markingsIn(state.doc).length,
];

test.each(ACTS)(
  'where %s right after a word was typed there, undo takes back the act and leaves the word',
  (_name, to, act) => {
    const there = to(begun());
    const typed = there.apply(there.tr.insertText('x'));
    const done = typed.apply(act(typed)!);
    expect(wordsOf(done)).not.toEqual(wordsOf(typed));
    let back = done;
    undo(done, (tr) => (back = done.apply(tr)));
    expect(wordsOf(back)).toEqual(wordsOf(typed));
  },
);
