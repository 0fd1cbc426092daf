import { expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import fc from 'fast-check';
import { markingsOf, textsOf } from '#core/draft';
import { MarkingOnSchema, plainText, type MarkingOn } from '#core/passage';
import { entryOf, leafOf, readOf, requestOf } from '../testing/leafState';
import {
  addMarking,
  alikeMarkings,
  changeMarkings,
  copyMarking,
  lineBeside,
  markingAt,
  markingsIn,
  removeMarkings,
  stepToMarking,
} from './markings';
import { fromEditor, placementsOf } from './placements';
import { placeEntry } from './placing';

const marking = (id: string, page: number, at = { x: 10, y: 20 }): MarkingOn =>
  MarkingOnSchema.parse({ id, page, at });
const done = (state: EditorState, tr: Transaction | null) => state.apply(tr!);
/** A page with markings that say what they are called, put down in the order given. */
const marked = (...all: MarkingOn[]) =>
  all.reduce(
    (state, one) => {
      const added = done(state, addMarking(state, one));
      return added.apply(added.tr.insertText(one.id));
    },
    leafOf(['']),
  );
const order = (state: EditorState) => markingsIn(state.doc).map(({ marking: { id } }) => id);

test('they stand in the order of their pages, those of one page as they were put down; the caret is in the one just put there', () => {
  const state = marked(marking('late', 4), marking('a', 1), marking('b', 1), marking('first', 0));
  expect(order(state)).toEqual(['first', 'a', 'b', 'late']);
  expect(markingAt(state)?.marking.id).toBe('first');
  expect(markingAt(done(state, stepToMarking(state, 'late')))?.marking.id).toBe('late');
});

test('in whatever order they are put down, they stand by their pages, and each keeps its words', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 12 }), (pages) => {
      const state = marked(...pages.map((page, at) => marking(`m${at}`, page)));
      const found = markingsIn(state.doc);
      expect(found.map(({ marking: { page } }) => page)).toEqual([...pages].sort((a, b) => a - b));
      expect(found.every(({ node, marking: { id } }) => node.textContent === id)).toBe(true);
    }),
  );
});

test('a change of place or look leaves words and caret; one that is not there is not changed', () => {
  const state = marked(marking('a', 0), marking('b', 0));
  const changed = done(state, changeMarkings(state, ['a'], { at: { x: 1, y: 2 }, colour: 'rust' }));
  expect(markingsIn(changed.doc)[0]).toMatchObject({
    marking: { id: 'a', at: { x: 1, y: 2 }, colour: 'rust' },
  });
  expect(markingAt(changed)?.marking.id).toBe('b');
  expect(readOf(changed)).toBe(readOf(state));
  expect(changeMarkings(state, ['x'], { framed: true })).toBeNull();
  expect(removeMarkings(state, ['x'])).toBeNull();
});

test('the same words elsewhere have blanks of their own, and what they lead to moves along', () => {
  const added = done(
    leafOf(['']),
    addMarking(leafOf(['']), { ...marking('a', 0), lead: { to: { x: 50, y: 60 }, as: 'arrow' } }),
  );
  const { from, to } = added.selection;
  const placed = done(added, placeEntry(added, from, to, requestOf(entryOf('Count', '[Many] dunlin'), 'p1')));
  const where = { id: 'b', page: 2, at: { x: 15, y: 30 } };
  const copied = done(
    placed,
    copyMarking(placed, 'a', [where], () => 'p2'),
  );
  expect(order(copied)).toEqual(['a', 'b']);
  expect(markingsIn(copied.doc)[1]!.marking).toMatchObject({
    page: 2,
    lead: { to: { x: 55, y: 70 }, as: 'arrow' },
  });
  expect(Object.keys(placementsOf(copied.doc)).sort()).toEqual(['p1', 'p2']);
});

test('one that is deleted comes back with undo, and the last leaves a line to write on', () => {
  const plugins = { plugins: [history()] };
  const state = marked(marking('a', 0)).reconfigure(plugins);
  const gone = done(state, removeMarkings(state, ['a']));
  expect([order(gone), gone.doc.childCount > 0]).toEqual([[], true]);
  let back = gone;
  undo(gone, (tr) => (back = gone.apply(tr)));
  expect(order(back)).toEqual(['a']);
});

test('a marking is no text of its own, and reads as its words alone', () => {
  const draft = fromEditor(marked(marking('fire door', 0), marking('bin', 1)).doc);
  expect(markingsOf(draft).map(({ page, passage }) => [page, plainText(passage)])).toEqual([
    [0, 'fire door'],
    [1, 'bin'],
  ]);
  expect(textsOf(draft).map(({ name }) => name)).toEqual([null]);
  expect(plainText(draft)).not.toContain('Marking');
});

test('those from one entry are alike, whatever they were answered; of typed ones those of the same words', () => {
  const counts = (state: EditorState, id: string, as: string) => {
    const added = done(state, addMarking(state, marking(id, 0)));
    const { from, to } = added.selection;
    return done(added, placeEntry(added, from, to, requestOf(entryOf('Count', '[Many] dunlin'), as)));
  };
  let state = counts(counts(marked(marking('a', 0)), 'p', 'p1'), 'q', 'p2');
  state = done(state, addMarking(state, marking('b', 1)));
  state = state.apply(state.tr.insertText(' a '));
  const alike = (id: string) => alikeMarkings(state.doc, id).map(({ marking: { id: one } }) => one);
  expect([alike('p'), alike('q'), alike('a'), alike('x')]).toEqual([['p', 'q'], ['p', 'q'], ['a', 'b'], []]);
  const [look, gone] = [
    done(state, changeMarkings(state, alike('p'), { size: 'large' })),
    done(state, removeMarkings(state, alike('p'))),
  ];
  expect(markingsIn(look.doc).map(({ marking: { size } }) => size)).toEqual([
    ...['medium', 'large', 'large', 'medium'],
  ]);
  expect(order(gone)).toEqual(['a', 'b']);
});

test('at the same place of several pages each stands in its order with blanks of its own, in one step of undo', () => {
  const plugins = { plugins: [history()] };
  const state = marked(marking('a', 1), marking('c', 3)).reconfigure(plugins);
  const places = [4, 0, 2].map((page) => ({ id: `on${page}`, page, at: { x: 10, y: 20 } }));
  const copied = done(
    state,
    copyMarking(state, 'a', places, () => 'unused'),
  );
  expect(order(copied)).toEqual(['on0', 'a', 'on2', 'c', 'on4']);
  expect(markingAt(copied)?.marking.id).toBe('on4');
  expect(
    markingsIn(copied.doc)
      .filter(({ marking: { id } }) => id.startsWith('on'))
      .every(({ node }) => node.textContent === 'a'),
  ).toBe(true);
  let back = copied;
  undo(copied, (tr) => (back = copied.apply(tr)));
  expect(order(back)).toEqual(['a', 'c']);
});

test('a copy answers no remark: that was said once', () => {
  const state = marked({ ...marking('a', 0), answers: [12, 0] });
  const copied = done(
    state,
    copyMarking(state, 'a', [{ id: 'b', page: 0, at: { x: 1, y: 1 } }], () => 'unused'),
  );
  expect(markingsIn(copied.doc).map(({ marking: { answers } }) => answers ?? null)).toEqual([[12, 0], null]);
});

test('words before all markings and behind them stand on lines of their own, made once', () => {
  let state = marked(marking('a', 0), marking('b', 0));
  for (const where of ['before', 'behind', 'before'] as const) {
    state = done(state, lineBeside(state, where));
    state = state.apply(state.tr.insertText(where));
  }
  expect(state.doc.content.content.map((node) => node.textContent)).toEqual([
    ...['beforebefore', 'a', 'b', 'behind'],
  ]);
  expect(order(state)).toEqual(['a', 'b']);
});
