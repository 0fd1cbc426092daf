import { expect, test } from '@jest/globals';
import { EditorState, NodeSelection } from '@tiptap/pm/state';
import fc from 'fast-check';
import { EntryContentSchema } from '#core/entry';
import { place, refillPassage } from '#core/fill';
import { anyAnswers, anyEntry } from '#core/testing';
import { entryOf, leafDoc, leafOf, readOf, requestOf } from '../testing/leafState';
import { answer } from './answering';
import { blanksIn, currentBlank } from './blanks';
import { fromEditor, placementsOf } from './placements';
import { placeEntry } from './placing';

/** Any entry, with answers to some of its fields and others after them. */
const answered = anyEntry.chain((entry) =>
  fc.tuple(fc.constant(EntryContentSchema.parse(entry)), anyAnswers(entry.fields), anyAnswers(entry.fields)),
);

test('whatever is answered, the page changes little by little into what the core fills as a whole', () => {
  fc.assert(
    fc.property(answered, ([content, answers, later]) => {
      const placed = place(requestOf(content, 'p', { answers }));
      let state = EditorState.create({ doc: leafDoc(placed.passage, { p: placed.placement }) });
      for (const { id } of content.fields) {
        const before = fromEditor(state.doc);
        state = state.apply(answer(state, 'p', id, later[id] ?? null));
        const placements = placementsOf(state.doc);
        expect(placements.p!.answers[id]).toEqual(later[id]);
        const { content: whole } = leafDoc(refillPassage(before, placements));
        expect(state.doc.content.toJSON()).toEqual(whole.toJSON());
      }
    }),
    { numRuns: 60 },
  );
});

test('an answer fills all its blanks, the current one stays current, and undoing is answering again', () => {
  const begun = leafOf(['Seen |today.']);
  const entry = entryOf('Fed', '[who] ate [food], and [who] slept.');
  let state = begun.apply(placeEntry(begun, 6, 6, requestOf(entry, 'p')));
  const food = blanksIn(state.doc).find(({ attrs }) => attrs.field === 'food')!;
  state = state.apply(state.tr.setSelection(NodeSelection.create(state.doc, food.pos)));
  state = state.apply(answer(state, 'p', 'who', { kind: 'text', text: 'Bramble' }));
  expect(readOf(state)).toBe('Seen Bramble ate [food], and Bramble slept. today.');
  expect(currentBlank(state)?.attrs.field).toBe('food');
  state = state.apply(answer(state, 'p', 'who', null));
  expect(blanksIn(state.doc).map(({ attrs }) => attrs.state)).toEqual(['gap', 'gap', 'gap']);
});
