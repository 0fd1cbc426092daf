import { expect, test } from '@jest/globals';
import { history, redo, undo } from '@tiptap/pm/history';
import { EditorState, Plugin, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import fc from 'fast-check';
import { countedOf, numbersOf } from '#core/numbering';
import type { Inline, NumberInline, ReferenceInline } from '#core/passage';
import { leafDoc } from '../testing/leafState';
import { isNumbering, numbering, numbersIn, referTo } from './numbering';

const LISTS = ['', 'Signs'];
const number = (id: string, list: string): Inline => ({
  type: 'number',
  attrs: { list, form: '1', id, text: '' },
});
const reference = (to: string): Inline => ({ type: 'reference', attrs: { to, text: '' } });

/** A leaf of one line for each of some numbers, or references to them, in lists. */
function leaf(inlines: readonly Inline[]): EditorState {
  const content = inlines.map((inline) => ({
    type: 'paragraph' as const,
    content: [inline, { type: 'text' as const, text: ' line' }],
  }));
  const state = EditorState.create({
    doc: leafDoc({ type: 'doc', content }),
    plugins: [numbering(), history()],
  });
  // As when it is opened: what is written first puts all of them right.
  return state.apply(state.tr.insertText('x', state.doc.content.size - 1));
}

function countedIn(state: EditorState): (NumberInline | ReferenceInline)[] {
  const found: (NumberInline | ReferenceInline)[] = [];
  state.doc.descendants((node) => {
    if (node.type.name === 'number' || node.type.name === 'reference')
      found.push(node.toJSON() as NumberInline | ReferenceInline);
  });
  return found;
}
const texts = (state: EditorState) => countedIn(state).map(({ attrs }) => attrs.text);

const anyInline = fc.oneof(
  fc
    .tuple(fc.integer({ min: 1, max: 9 }), fc.constantFrom(...LISTS))
    .map(([id, list]) => number(`n${id}`, list)),
  fc.integer({ min: 1, max: 9 }).map((id) => reference(`n${id}`)),
);
/** Lines taken out, put elsewhere, taken back and done again. */
const anyStep = fc.record({
  act: fc.constantFrom('delete', 'move', 'undo', 'redo'),
  line: fc.nat(20),
  to: fc.nat(20),
});

function moved(state: EditorState, line: number, to: number | null): EditorState {
  const places: number[] = [];
  state.doc.forEach((_, pos) => void places.push(pos));
  const from = places[line % places.length]!;
  const node = state.doc.nodeAt(from)!;
  const tr = state.tr.delete(from, from + node.nodeSize);
  if (to === null) return state.doc.childCount === 1 ? state : state.apply(tr);
  return state.apply(tr.insert(tr.mapping.map(places[to % places.length]!), node));
}

test('whatever is deleted, moved, undone and done again, every number and reference is right', () => {
  fc.assert(
    fc.property(
      fc.array(anyInline, { minLength: 1, maxLength: 12 }),
      fc.array(anyStep, { maxLength: 8 }),
      (inlines, steps) => {
        let state = leaf(inlines);
        const isRight = () => expect(texts(state)).toEqual(numbersOf(countedIn(state).map(countedOf)));
        isRight();
        for (const { act, line, to } of steps) {
          const take = (tr: Transaction) => void (state = state.apply(tr));
          if (act === 'undo') undo(state, take);
          else if (act === 'redo') redo(state, take);
          else state = moved(state, line, act === 'move' ? to : null);
          isRight();
        }
      },
    ),
    { numRuns: 200 },
  );
});

test('a number is offered with its line, and a reference to it reads as it does and follows it', () => {
  let state = leaf([number('a', 'Signs'), number('b', 'Signs'), number('', 'Signs')]);
  expect(numbersIn(state.doc).map(({ id, text, line }) => [id, text, line])).toEqual([
    ['a', '1', '1 line'],
    ['b', '2', '2 line'],
  ]);
  state = state.apply(referTo(state, numbersIn(state.doc)[1]!));
  expect(texts(state).filter((text) => text === '2')).toHaveLength(2);
  state = moved(state, 0, null);
  expect(numbersIn(state.doc).map(({ text }) => text)).toEqual(['1']);
});

test('where only some changes are let through numbers still are written', () => {
  const doc = leafDoc({ type: 'doc', content: [{ type: 'paragraph', content: [number('n1', '')] }] });
  const only = new Plugin({
    filterTransaction: (tr) => isNumbering(tr) || tr.getMeta('let') === true,
  });
  const state = EditorState.create({ doc, plugins: [numbering(), only] });
  expect(texts(state.apply(state.tr.insertText('x', 1)))).toEqual(['']);
  expect(texts(state.apply(state.tr.insertText('x', 1).setMeta('let', true)))).toEqual(['1']);
});

test('a text that changes while it is opened is numbered as it stands then', async () => {
  const plugin = numbering();
  const refused: Transaction[] = [];
  let state = EditorState.create({
    doc: leafDoc({ type: 'doc', content: [{ type: 'paragraph', content: [number('n1', '')] }] }),
    plugins: [plugin],
  });
  const view = {
    isDestroyed: false,
    get state() {
      return state;
    },
    dispatch: (tr: Transaction) => {
      // A transaction made of another text cannot be applied.
      if (tr.before !== state.doc) refused.push(tr);
      else state = state.apply(tr);
    },
  };
  plugin.spec.view!(view as unknown as EditorView);
  // As React does, which gives an editor its words in the moment it is there.
  view.dispatch(state.tr.insertText('Seen: ', 1));
  await Promise.resolve();
  expect(refused).toEqual([]);
  expect(texts(state)).toEqual(['1']);
  expect(state.doc.textContent.startsWith('Seen: ')).toBe(true);
});
