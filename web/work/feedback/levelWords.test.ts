import { expect, test } from '@jest/globals';
import type { EditorState } from '@tiptap/pm/state';
import { history, undo } from '@tiptap/pm/history';
import type { Criterion, CriterionLevel } from '#core/work';
import { levelsOf } from '../../editor';
import { leafOf, readOf } from '../../testing/leafState';
import { giveLevel } from './levelWords';

const level = (id: string, words: string): CriterionLevel => ({ id, name: id, words, points: null });
const METHOD: Criterion = {
  ...{ id: 'm', name: 'Method' },
  levels: [
    level('good', 'It could be repeated.'),
    level('poor', 'Nobody could repeat it.'),
    level('mute', ''),
  ],
};
const given = (state: EditorState, id: string | null) =>
  state.apply(giveLevel(state, METHOD, METHOD.levels.find((one) => one.id === id) ?? null));
const linesOf = (state: EditorState) => readOf(state).split('\n');

test('its words come behind the summing-up, and those of another level take their place', () => {
  const good = given(leafOf(['Well done.']), 'good');
  expect(linesOf(good)).toEqual(['Well done.', 'It could be repeated.']);
  expect(levelsOf(good.doc)).toEqual({ m: 'good' });
  expect(linesOf(given(good, 'poor'))).toEqual(['Well done.', 'Nobody could repeat it.']);
});

test('into an empty summing-up they come alone; taken away, nothing of them is left', () => {
  const good = given(leafOf(['']), 'good');
  expect(linesOf(good)).toEqual(['It could be repeated.']);
  const none = given(good, null);
  expect([readOf(none), levelsOf(none.doc)]).toEqual(['', {}]);
  expect(linesOf(given(given(leafOf(['Well done.']), 'good'), 'mute'))).toEqual(['Well done.']);
});

test('words that were changed by hand stay, and one undo takes back the level with its words', () => {
  const good = given(leafOf(['Well done.'], [history()]), 'good');
  const changed = good.apply(
    good.tr.insertText('Nearly: ', good.doc.content.size - good.doc.lastChild!.nodeSize + 1),
  );
  expect(linesOf(given(changed, 'poor'))).toEqual([
    'Well done.',
    'Nearly: It could be repeated.',
    'Nobody could repeat it.',
  ]);
  let undone = good;
  undo(undone, (tr) => (undone = undone.apply(tr)));
  expect([linesOf(undone), levelsOf(undone.doc)]).toEqual([['Well done.'], {}]);
});
