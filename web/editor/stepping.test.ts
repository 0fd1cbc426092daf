import { expect, test } from '@jest/globals';
import { EditorState, NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state';
import fc from 'fast-check';
import { EntryContentSchema } from '#core/entry';
import { place } from '#core/fill';
import { anyAnswers, anyEntry } from '#core/testing';
import { entryOf, leafDoc, leafOf, readOf, requestOf } from '../testing/leafState';
import { answer } from './answering';
import { currentBlank } from './blanks';
import { confirmHere, statementAt, statementsIn } from './confirming';
import { placeEntry } from './placing';
import {
  askedBlanks,
  stepOn,
  stepOut,
  stepByTab,
  stepToBlank,
  stepToField,
  stepToFirstGap,
  stepToGap,
} from './stepping';

const fed = entryOf('Fed', '[who] ate [food], and [who] slept at [hour].');
const begun = (content = fed): EditorState => {
  const state = leafOf(['Seen. | Well.']);
  return state.apply(placeEntry(state, 7, 7, requestOf(content, 'p')));
};
const at = (state: EditorState) => currentBlank(state)?.attrs.field ?? null;
const apply = (state: EditorState, tr: Transaction | null) => (tr ? state.apply(tr) : state);

test('each field is asked about once, in the order of the text; behind the last, writing goes on', () => {
  let state = begun();
  const steps = [at(state)];
  while (currentBlank(state)) {
    state = apply(state, stepOn(state));
    steps.push(at(state));
  }
  expect(steps).toEqual(['who', 'food', 'hour', null]);
  expect(readOf(state.apply(state.tr.insertText('!')))).toBe(
    'Seen. [who] ate [food], and [who] slept at [hour].! Well.',
  );
});

test('to the next and the one before, past what is answered too; to gaps alone, and round again', () => {
  let state = begun();
  state = state.apply(answer(state, 'p', 'food', { kind: 'text', text: 'moths' }));
  const forth = apply(state, stepToBlank(state, 1));
  expect([at(forth), at(apply(forth, stepToBlank(forth, -1)))]).toEqual(['food', 'who']);
  expect(stepToBlank(state, -1)).toBeNull();
  // Each gap stands where it stands: of a field with two blanks both are gaps.
  const gaps = ['who'];
  for (let time = 0; time < 3; time += 1) {
    state = apply(state, stepToGap(state));
    gaps.push(at(state)!);
  }
  expect(gaps).toEqual(['who', 'who', 'hour', 'who']);
  expect(at(apply(state, stepToField(state, 'p', 'hour')))).toBe('hour');
  expect(stepToField(state, 'p', 'nothing')).toBeNull();
});

test.each([1, -1] as const)(
  'Tab (%i) comes to an end and leaves the leaf, wherever the keys were',
  (direction) => {
    for (const from of ['who', 'food', 'hour']) {
      let state = apply(begun(), stepToField(begun(), 'p', from));
      let steps = 0;
      for (let tr = stepByTab(state, direction); tr; tr = stepByTab(state, direction)) {
        state = state.apply(tr);
        steps += 1;
        expect(steps).toBeLessThanOrEqual(4);
      }
      expect(at(state)).toBeNull();
    }
  },
);

test('out of a blank, to either side of it', () => {
  const state = begun();
  const pos = state.selection.from;
  expect(apply(state, stepOut(state, 'before')).selection.from).toBe(pos);
  expect(apply(state, stepOut(state)).selection.from).toBe(pos + 1);
  expect(stepOut(leafOf(['x|']))).toBeNull();
});

test('a statement to confirm waits among the gaps; confirmed, the next one comes', () => {
  const content = entryOf('Told', 'It was [how]. All was told. ', 'Nothing hurts.');
  for (const block of content.wordings[0]!.parts[0]!.passage.content)
    for (const inline of 'content' in block ? (block.content ?? []) : [])
      if (inline.type === 'text' && /told|hurts/.test(inline.text))
        Object.assign(inline, { marks: [{ type: 'confirm' }] });
  let state = begun(content);
  expect(at(state)).toBe('how');
  expect(statementsIn(state.doc).map(({ words }) => words.trim())).toEqual([
    '. All was told.',
    'Nothing hurts.',
  ]);
  state = state.apply(answer(state, 'p', 'how', { kind: 'text', text: 'fine' }));
  state = apply(state, stepToFirstGap(state));
  expect(statementAt(state)?.words).toContain('All was told');
  state = apply(state, confirmHere(state));
  expect(statementAt(state)?.words.trim()).toBe('Nothing hurts.');
  state = apply(state, confirmHere(state));
  expect(statementsIn(state.doc)).toEqual([]);
  expect([stepToFirstGap(state), stepToGap(state), confirmHere(state)]).toEqual([null, null, null]);
});

/** A document with one of its blanks current. */
function leafOn(doc: EditorState['doc'], pos: number): EditorState {
  const state = EditorState.create({ doc });
  return state.apply(state.tr.setSelection(NodeSelection.create(doc, pos)));
}

test('whatever is placed and answered: forth and back is to be where one was, and no step leads nowhere', () => {
  const filled = anyEntry.chain((entry) =>
    fc.tuple(fc.constant(EntryContentSchema.parse(entry)), anyAnswers(entry.fields)),
  );
  fc.assert(
    fc.property(filled, ([content, answers]) => {
      const { passage, placement } = place(requestOf(content, 'p', { answers }));
      const doc = leafDoc(passage, { p: placement });
      const asked = askedBlanks(doc);
      expect(new Set(asked.map(({ attrs }) => attrs.field)).size).toBe(asked.length);
      asked.forEach(({ pos }, index) => {
        const begunHere = leafOn(doc, pos);
        const here = apply(begunHere, stepToBlank(begunHere, 1));
        expect(currentBlank(here)?.pos).toBe(asked[index + 1]?.pos ?? pos);
        if (index + 1 < asked.length) expect(currentBlank(apply(here, stepToBlank(here, -1)))?.pos).toBe(pos);
      });
    }),
    { numRuns: 50 },
  );
});

test('a caret in the text steps to the blank behind it, and to the one before it', () => {
  const state = begun();
  const caret = state.apply(state.tr.setSelection(TextSelection.create(state.doc, state.selection.from + 3)));
  expect(at(apply(caret, stepToBlank(caret, 1)))).toBe('food');
  expect(at(apply(caret, stepToBlank(caret, -1)))).toBe('who');
});
