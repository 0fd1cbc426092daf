import { describe, expect, test } from '@jest/globals';
import { EditorState, TextSelection } from '@tiptap/pm/state';
import fc from 'fast-check';
import type { EntryContent } from '#core/entry';
import { entryOf, leafOf, leafSchema, readOf, requestOf, wordingOf } from '../testing/leafState';
import { answer } from './answering';
import { placementsOf } from './placements';
import { placeEntry } from './placing';
import { changedByHand, renewPlacement } from './renewing';
import { addText, boxesIn, moveText, nameRest, removeText, renameText } from './texts';

const namesOf = (state: EditorState) => boxesIn(state.doc).map(({ name }) => name);
/** Each block at the top with what it is called, so that order and names are read at once. */
const shape = ({ doc }: EditorState) =>
  doc.content.content.map((block) =>
    block.type.name === 'box' ? `${block.attrs.name}(${block.textContent})` : block.textContent,
  );
const typed = (state: EditorState, words: string) => state.apply(state.tr.insertText(words));
const added = (state: EditorState, name: string, words = '') =>
  typed(state.apply(addText(state, name)), words);
const boxOf = (state: EditorState, name: string) => boxesIn(state.doc).find((box) => box.name === name)!;

describe('texts of a leaf', () => {
  const letter = added(leafOf(['Seen at dawn.|']), 'Letter', 'Dear all,');

  test('a text is begun at the end, and what is typed goes into it; behind the one at the cursor where there is one', () => {
    expect(shape(letter)).toEqual(['Seen at dawn.', 'Letter(Dear all,)']);
    const summary = added(letter, 'Summary', 'Well.');
    const first = summary.apply(
      summary.tr.setSelection(TextSelection.create(summary.doc, boxOf(summary, 'Letter').pos + 2)),
    );
    expect(shape(added(first, 'Note', 'Ring.'))).toEqual([
      'Seen at dawn.',
      'Letter(Dear all,)',
      'Note(Ring.)',
      'Summary(Well.)',
    ]);
  });

  test('the text outside is given a name: one box, be it parted by others', () => {
    const { box, paragraph } = leafSchema.nodes;
    const line = (words: string) => paragraph!.create(null, leafSchema.text(words));
    const doc = leafSchema.topNodeType.create(null, [
      line('One.'),
      line('Two.'),
      box!.create({ name: 'Letter' }, line('Dear all,')),
      line('Three.'),
    ]);
    const named = EditorState.create({ doc });
    const state = named.apply(nameRest(named, 'Note'));
    state.doc.check();
    expect(shape(state)).toEqual(['Note(One.Two.Three.)', 'Letter(Dear all,)']);
    expect(state.apply(nameRest(state, 'Again')).doc.eq(state.doc)).toBe(true);
  });

  test('removed it is gone with its words, and the caret stands in what is left; the last one leaves an empty leaf', () => {
    const left = letter.apply(removeText(letter, boxOf(letter, 'Letter')));
    expect(shape(left)).toEqual(['Seen at dawn.']);
    expect(readOf(typed(left, ' Fed.'))).toBe('Seen at dawn. Fed.');
    const named = letter.apply(removeText(letter, boxOf(letter, 'Letter')));
    const alone = named.apply(nameRest(named, 'Note'));
    expect(shape(alone.apply(removeText(alone, boxOf(alone, 'Note'))))).toEqual(['']);
  });

  test('whatever order they are put in, each keeps its words', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.string({ minLength: 1, maxLength: 8 }), { minLength: 1, maxLength: 6 }),
        fc.nat(5),
        fc.nat(5),
        (names, a, b) => {
          const begun = names.reduce((state, name) => added(state, name, `of ${name}`), leafOf(['Rest|']));
          const before = namesOf(begun);
          const [from, to] = [a % names.length, b % names.length];
          const state = begun.apply(moveText(begun, from, to));
          state.doc.check();
          const order = [...before];
          order.splice(to, 0, ...order.splice(from, 1));
          expect(shape(state)).toEqual(['Rest', ...order.map((name) => `${name}(of ${name})`)]);
        },
      ),
    );
  });
});

describe('an entry placed in a text', () => {
  const fed = entryOf('Fed', 'It ate [food] at dawn.');
  const newer = entryOf('Fed', 'It took [food] at dawn.');
  const begun = added(leafOf(['Seen.|']), 'Letter', 'Dear all. ');
  const { from } = begun.selection;
  const blank = begun.apply(placeEntry(begun, from, from, requestOf(fed, 'p')));
  const placed = blank.apply(answer(blank, 'p', 'food', { kind: 'text', text: 'moths' }));

  test('is renewed there, with what was changed by hand', () => {
    expect(shape(placed)).toEqual(['Seen.', 'Letter(Dear all. It ate  at dawn.)']);
    expect(changedByHand(placed, 'p', { ...requestOf(fed, 'p'), content: fed })).toBeNull();
    const at = boxOf(placed, 'Letter').pos + 2 + 'Dear all. It ate '.length + 1;
    const byHand = placed.apply(placed.tr.insertText(' often', at));
    const changed = changedByHand(byHand, 'p', { ...requestOf(fed, 'p'), content: fed });
    expect(JSON.stringify(changed)).toContain(' often');
    const request = { ...requestOf(newer, 'p'), wording: newer.wordings[0]!.id };
    const renewed = byHand.apply(renewPlacement(byHand, 'p', request, fed));
    expect(readOf(renewed)).toBe('Seen.\nDear all. It took moths often at dawn.');
    expect(namesOf(renewed)).toEqual(['Letter']);
  });

  test('whose other part went to a text of its own is renewed in both, and follows a name that changes', () => {
    const withSubject = (subject: string, content: EntryContent): EntryContent => {
      const [wording] = content.wordings;
      const part = { id: 's', name: 'Subject', passage: wordingOf(subject) };
      return { ...content, wordings: [{ ...wording!, parts: [part, ...wording!.parts] }] };
    };
    const first = withSubject('Your owl', entryOf('Reply', 'It sleeps.'));
    const state = begun.apply(placeEntry(begun, from, from, requestOf(first, 'p')));
    expect(placementsOf(state.doc).p!.parts).toEqual(['Subject']);
    expect(shape(state)).toEqual(['Subject(Your owl)', 'Seen.', 'Letter(Dear all. It sleeps.)']);
    const renamed = state.apply(renameText(state, boxOf(state, 'Subject'), 'Heading'));
    expect(namesOf(renamed)).toEqual(['Heading', 'Letter']);
    expect(placementsOf(renamed.doc).p!.parts).toEqual(['Heading']);
    const second = withSubject('Your young owl', entryOf('Reply', 'It sleeps well.'));
    const request = { ...requestOf(second, 'p'), wording: second.wordings[0]!.id };
    const renewed = state.apply(renewPlacement(state, 'p', request, first));
    expect(shape(renewed)).toEqual(['Subject(Your young owl)', 'Seen.', 'Letter(Dear all. It sleeps well.)']);
  });

  test('of several blocks fills an empty text whole: its list stays a list', () => {
    const content = entryOf('Steps', 'Feed it.', 'Ring us.');
    const empty = added(leafOf(['Seen.|']), 'Letter');
    const state = empty.apply(
      placeEntry(empty, empty.selection.from, empty.selection.from, requestOf(content, 'p')),
    );
    expect(shape(state)).toEqual(['Seen.', 'Letter(Feed it.Ring us.)']);
    expect(boxOf(state, 'Letter').node.childCount).toBe(2);
  });
});
