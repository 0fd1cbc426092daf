import { describe, expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import { EditorState } from '@tiptap/pm/state';
import fc from 'fast-check';
import type { DraftDocument } from '#core/draft';
import type { Passage } from '#core/passage';
import { anyPassage } from '#core/testing';
import { leafDoc, leafOf, leafSchema, wordsField } from '../testing/leafState';
import { followDraft, fromEditor, toEditor } from './placements';

const stateOf = (draft: DraftDocument) =>
  EditorState.create({ doc: leafSchema.nodeFromJSON(toEditor(draft)), plugins: [history()] });
/** Whether a passage has what the editor lets be written. */
function isSound(passage: Passage): boolean {
  try {
    leafDoc(passage).check();
    return true;
  } catch {
    return false;
  }
}
const draftOf = (state: EditorState) => fromEditor(state.doc);
const follow = (state: EditorState, there: EditorState) => state.apply(followDraft(state, draftOf(there)));

test('whatever was on the leaf, it is what was saved elsewhere, and nothing of that is undone here', () => {
  // Entries within an entry are wordings: on a leaf there are none.
  const anyDraft = anyPassage({ fields: [wordsField('food')], conditions: [] })
    .filter((passage) => !JSON.stringify(passage).includes('"include"') && isSound(passage))
    .map((passage): DraftDocument => ({ ...passage, attrs: { placements: {} } }));
  fc.assert(
    fc.property(anyDraft, anyDraft, (mine, theirs) => {
      const there = stateOf(theirs);
      const now = follow(stateOf(mine), there);
      expect(draftOf(now)).toEqual(draftOf(there));
      expect(undo(now)).toBe(false);
    }),
  );
});

describe('the caret stays among the words it was among', () => {
  test.each([
    ['words are written before it', 'It ate| well.', 'Today it ate well.', 'Today it ate'],
    ['words are written behind it', 'It ate| well.', 'It ate well. It slept.', 'It ate'],
    ['a paragraph comes before', 'It ate| well.', 'Seen.\nIt ate well.', 'Seen.\nIt ate'],
    ['nothing changes', 'It ate| well.', 'It ate well.', 'It ate'],
  ])('%s', (_name, mine, theirs, before) => {
    const { doc, selection } = follow(leafOf([mine]), leafOf(theirs.split('\n')));
    expect(doc.textBetween(0, doc.content.size, '\n')).toBe(theirs);
    expect(doc.textBetween(0, selection.from, '\n')).toBe(before);
  });
});

test('what was done here before is undone here still, wherever it stands by now', () => {
  const begun = leafOf(['It ate|'], [history()]);
  const written = begun.apply(begun.tr.insertText(' well'));
  const elsewhere = leafOf(['Seen.', 'It ate well']);
  let now = follow(written, elsewhere);
  expect(undo(now, (tr) => (now = now.apply(tr)))).toBe(true);
  expect(now.doc.textContent).toBe('Seen.It ate');
});
