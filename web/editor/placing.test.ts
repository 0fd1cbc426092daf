import { describe, expect, test } from '@jest/globals';
import { EditorState, NodeSelection, TextSelection } from '@tiptap/pm/state';
import fc from 'fast-check';
import { EntryContentSchema, type EntryContent } from '#core/entry';
import { anyAnswers, anyEntry } from '#core/testing';
import { bareView, entryOf, leafOf, leafSchema, readOf, requestOf, wordingOf } from '../testing/leafState';
import { answer } from './answering';
import { currentBlank, placementAt, placementRange } from './blanks';
import { placementsOf } from './placements';
import { placeEntry } from './placing';
import { changedByHand, renewPlacement } from './renewing';

const fed = entryOf('Fed', 'It ate [food] at [hour].');
const caret = ({ selection }: EditorState) => [selection.from, selection.to];
/** Places an entry over the last letters of the caret's line. */
function placed(begun: EditorState, content: EntryContent, over = 0, id = 'p'): EditorState {
  const { from } = begun.selection;
  return begun.apply(placeEntry(begun, from - over, from, requestOf(content, id)));
}
const say = (state: EditorState, field: string, text: string, id = 'p') =>
  state.apply(answer(state, id, field, { kind: 'text', text }));
/** Writes over some words wherever they stand. */
function rewrite(state: EditorState, old: string, fresh: string): EditorState {
  let at = -1;
  state.doc.descendants((node, pos) => {
    const found = node.text?.indexOf(old) ?? -1;
    if (found >= 0) at = pos + found;
  });
  return state.apply(state.tr.insertText(fresh, at, at + old.length));
}

describe('placing', () => {
  test('over what was typed: words join the line, and the first gap is current', () => {
    const state = placed(leafOf(['Seen at dawn. ;fed| Then it slept.']), fed, 4);
    expect(readOf(state)).toBe('Seen at dawn. It ate [food] at [hour]. Then it slept.');
    expect(currentBlank(state)?.attrs).toMatchObject({ field: 'food', placement: 'p' });
    expect(placementsOf(state.doc).p).toMatchObject({ entry: 'Fed', answers: {} });
  });

  test('without gaps the caret stands behind it, and what is typed there is not of the entry', () => {
    const state = placed(leafOf(['|']), entryOf('Slept', 'It slept.'));
    expect(caret(state)).toEqual([10, 10]);
    const { view, state: now } = bareView(state);
    view.dispatch(view.state.tr.insertText(' Well'));
    expect(readOf(now())).toBe('It slept. Well');
    expect(placementRange(now().doc, 'p')).toEqual({ from: 1, to: 10 });
  });

  test('several lines into the midst of one: the line is opened, nothing of it is lost', () => {
    const state = placed(leafOf(['Before | after.', 'Last.']), entryOf('Two', 'First line.', 'Second line.'));
    expect(readOf(state)).toBe('Before First line.\nSecond line. after.\nLast.');
  });

  test('at its caret mark writing goes on, and the mark is gone', () => {
    const content = entryOf('Letter', 'Dear all,', 'Yours');
    const [first] = content.wordings[0]!.parts[0]!.passage.content;
    (first as { content: unknown[] }).content.push({ type: 'caretMark' });
    const state = placed(leafOf(['|']), content);
    expect(readOf(state)).toBe('Dear all,\nYours');
    expect(caret(state)).toEqual([10, 10]);
    expect(state.doc.toString()).not.toContain('caretMark');
  });

  test('a part with a box of its own goes there, unless something else stands in it', () => {
    const letter = (subject: string): EntryContent => {
      const content = entryOf('Letter', 'Dear all,');
      const [wording] = content.wordings;
      const box = { id: 's', name: 'Subject', passage: wordingOf(subject) };
      return { ...content, wordings: [{ ...wording!, parts: [box, ...wording!.parts] }] };
    };
    const first = placed(leafOf(['|']), letter('Your hedgehog'), 0, 'p');
    expect(readOf(first)).toBe('Your hedgehog\nDear all,');
    const end = first.apply(first.tr.setSelection(TextSelection.atEnd(first.doc)));
    expect(readOf(placed(end, letter('Your owl'), 0, 'q'))).toBe('Your hedgehog\nDear all, Dear all,');
    const renewed = first.apply(renewPlacement(first, 'p', requestOf(letter('Your owl'), 'p')));
    expect(readOf(renewed)).toBe('Your owl\nDear all,');
  });

  test('the placement the caret is in or beside is known, and none elsewhere', () => {
    const state = placed(leafOf(['Seen. | Slept.']), fed);
    const at = (pos: number) =>
      placementAt(state.apply(state.tr.setSelection(TextSelection.create(state.doc, pos))));
    expect([at(2), at(9)]).toEqual([null, 'p']);
    expect(placementAt(state)).toBe('p');
  });
});

describe('a newer wording', () => {
  const newer = entryOf('Fed', 'It took [food] at [hour], calmly.');
  const request = requestOf(newer, 'p', {
    entry: { id: 'Fed', revision: 2, content: newer },
    wording: newer.wordings[0]!.id,
  });

  test('keeps answers; with what it was before, words changed by hand too', () => {
    let state = say(placed(leafOf(['Seen. |']), fed), 'food', 'moths');
    expect(readOf(state.apply(renewPlacement(state, 'p', request)))).toBe(
      'Seen. It took moths at [hour], calmly.',
    );
    state = rewrite(state, ' at ', ' at about ');
    const renewed = state.apply(renewPlacement(state, 'p', request, fed));
    expect(readOf(renewed)).toBe('Seen. It took moths at about [hour], calmly.');
    expect(placementsOf(renewed.doc).p).toMatchObject({ revision: 2 });
    // Still alive: what is answered now fills it.
    expect(readOf(say(renewed, 'hour', 'nine'))).toBe('Seen. It took moths at about nine, calmly.');
  });

  test.each(['bulletList', 'blockquote'])('within a %s its own words are merged, and stay there', (kind) => {
    const line = { type: 'paragraph', content: [{ type: 'text', text: 'Seen. ' }] };
    const within = kind === 'bulletList' ? { type: 'listItem', content: [line] } : line;
    const doc = leafSchema.nodeFromJSON({ type: 'doc', content: [{ type: kind, content: [within] }] });
    let state = EditorState.create({ doc, selection: TextSelection.atEnd(doc) });
    state = rewrite(placed(state, fed), ' at ', ' at about ');
    expect(readOf(state)).toBe('Seen. It ate [food] at about [hour].');
    const kinds = (one: EditorState) => one.doc.toString().replace(/"[^"]*"/g, '');
    const renewed = state.apply(renewPlacement(state, 'p', request, fed));
    expect(readOf(renewed)).toBe('Seen. It took [food] at about [hour], calmly.');
    expect(kinds(renewed).match(/^doc\(\w+/)).toEqual(kinds(state).match(/^doc\(\w+/));
    expect(renewed.doc.childCount).toBe(1);
  });

  test('of another entry: what fields of the same names were answered goes along', () => {
    const other = entryOf('Given', 'Given: [food].');
    const state = say(placed(leafOf(['|']), fed), 'food', 'moths');
    const renewed = renewPlacement(state, 'p', requestOf(other, 'p'));
    expect(readOf(state.apply(renewed))).toBe('Given: moths.');
  });

  test('of what is not there any more changes nothing', () => {
    const begun = placed(leafOf(['|']), fed);
    const gone = begun.apply(begun.tr.delete(0, begun.doc.content.size));
    expect(renewPlacement(gone, 'p', request).docChanged).toBe(false);
    expect(renewPlacement(begun, 'q', request).docChanged).toBe(false);
  });
});

const isSound = ({ doc }: EditorState): boolean => {
  try {
    doc.check();
    return true;
  } catch {
    return false;
  }
};

test('whatever is placed and answered: untouched it has no change by hand, and taken over again it is the same', () => {
  const cases = anyEntry.chain((entry) =>
    fc.tuple(fc.constant(EntryContentSchema.parse(entry)), anyAnswers(entry.fields)),
  );
  fc.assert(
    fc.property(cases, ([content, all]) => {
      // What the record knows is looked up anew, and here it knows nothing.
      const answers = Object.fromEntries(Object.entries(all).filter(([, { kind }]) => kind !== 'detail'));
      const request = requestOf(content, 'p', { answers });
      const begun = leafOf(['|']);
      const state = begun.apply(placeEntry(begun, 1, 1, request));
      // The notation can say what no editor makes, such as a list whose point is a table.
      fc.pre(isSound(state));
      const wording = placementsOf(state.doc).p!.wording;
      expect(changedByHand(state, 'p', { ...request, content })).toBeNull();
      const again = state.apply(renewPlacement(state, 'p', { ...request, wording }, content));
      // Lines without a word, and spaces at the ends, have no owner: they are left as they stand, or out.
      const lines = (one: EditorState) =>
        readOf(one)
          .split('\n')
          .map((line) => line.trim())
          .filter(Boolean);
      expect(lines(again)).toEqual(lines(state));
    }),
    { numRuns: 60 },
  );
});

test.each([
  ['Seen|today.', 'as-is'],
  ['Seen. |', 'capital'],
  ['Seen. | Slept.', 'upper'],
] as const)('joined to the line "%s", its cue typed %s, nothing was changed by hand', (line, typed) => {
  const lower = entryOf('Fed', 'it ate [food] at dawn');
  const begun = leafOf([line]);
  const { from } = begun.selection;
  const state = say(
    begun.apply(placeEntry(begun, from, from, requestOf(lower, 'p'), typed)),
    'food',
    'moths',
  );
  expect(changedByHand(state, 'p', { ...requestOf(lower, 'p'), content: lower })).toBeNull();
  const newer = entryOf('Fed', 'it took [food] at dawn');
  const request = { ...requestOf(newer, 'p'), wording: newer.wordings[0]!.id };
  const renewed = state.apply(renewPlacement(state, 'p', request, lower));
  expect(readOf(renewed)).toBe(readOf(state).replace('ate', 'took').replace('ATE', 'TOOK'));
});

test('an entry that begins with what is known begins as its cue was typed', () => {
  const begun = leafOf(['Seen. |']);
  const request = requestOf(entryOf('Fed', '[who] ate.'), 'p', {
    answers: { who: { kind: 'text', text: 'the owl' } },
  });
  expect(readOf(begun.apply(placeEntry(begun, 7, 7, request, 'capital')))).toBe('Seen. The owl ate.');
});

test('words changed by hand where it stands become the wording, its blanks still blanks', () => {
  const state = rewrite(say(placed(leafOf(['|']), fed), 'food', 'moths'), 'It ate', 'It gladly ate');
  const changed = changedByHand(state, 'p', { ...requestOf(fed, 'p'), content: fed });
  const line = changed?.wordings[0]?.parts[0]?.passage.content[0];
  expect(JSON.stringify(line)).toContain('It gladly ate ');
  expect(
    (line as { content: { type: string }[] }).content.filter(({ type }) => type === 'blank'),
  ).toHaveLength(2);
  const onBlank = state.apply(state.tr.setSelection(NodeSelection.create(state.doc, state.selection.from)));
  expect(changedByHand(onBlank, 'q', { ...requestOf(fed, 'q'), content: fed })).toBeNull();
});
