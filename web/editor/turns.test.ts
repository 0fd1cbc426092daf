import { expect, test } from '@jest/globals';
import { history, redo, undo } from '@tiptap/pm/history';
import { TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import fc from 'fast-check';
import { turnsOf, withSpeaker, wordsOfTurn } from '#core/transcript';
import { bareView, entryOf, leafOf, readOf, requestOf } from '../testing/leafState';
import { joiningOn } from './goingOn';
import { placeEntry } from './placing';
import { changedByHand } from './renewing';
import { fromEditor, setTranscript, transcriptOf } from './placements';
import { settingTimes, timesIn } from './timeCodes';
import {
  beginTurn,
  castTurn,
  joinTurn,
  mergeSpeakers,
  turnAt,
  turnOfLine,
  turnsIn,
  writeTimes,
} from './turns';

const CAST = ['Ruan Pellow', 'Wilf Ambry', 'Nesta Ambry'].reduce<ReturnType<typeof withSpeaker>>(
  (cast, name) => withSpeaker(cast, name[0]!, name),
  [],
);
const withCast = (state: EditorState) =>
  state.apply(
    setTranscript(state.tr, { ...transcriptOf(state.doc), cast: CAST }).setMeta('addToHistory', false),
  );
const leaf = (...lines: string[]) => withCast(leafOf(lines, [history(), settingTimes(() => 7000)]));

const read = (state: EditorState) =>
  turnsOf(fromEditor(state.doc)).map((turn) => `${turn.speaker} ${turn.at ?? '-'} ${wordsOfTurn(turn)}`);
const apply = (state: EditorState, tr: Transaction | null) => (tr ? state.apply(tr) : state);
/** Puts the caret before the first of some words. */
function at(state: EditorState, words: string, side: 'before' | 'behind' = 'before'): EditorState {
  let found = -1;
  state.doc.descendants((node, pos) => {
    const index = node.text?.indexOf(words) ?? -1;
    if (index >= 0 && found < 0) found = pos + index + (side === 'behind' ? words.length : 0);
  });
  return state.apply(state.tr.setSelection(TextSelection.create(state.doc, found)));
}
const type = (state: EditorState, text: string) => state.apply(state.tr.insertText(text));

/** Ruan from 1 s, Wilf from 5 s; the caret at the end. */
function talk(): EditorState {
  const asked = type(apply(leaf('|'), beginTurn(leaf('|'), 'R', 1000)), 'And then?');
  return type(apply(asked, beginTurn(asked, 'W', 5000)), 'He went down. He counted them.');
}

test('an empty line becomes a turn, and behind words a new one follows with its time', () => {
  expect(read(talk())).toEqual(['R 1000 And then?', 'W 5000 He went down. He counted them.']);
});

test('within words a turn takes those behind the caret, without the space between, and no time that cannot be its own', () => {
  const split = (now: number) => {
    const begun = at(talk(), ' He counted');
    return read(apply(begun, beginTurn(begun, 'N', now)));
  };
  expect(split(9000)).toEqual(['R 1000 And then?', 'W 5000 He went down.', 'N 9000 He counted them.']);
  expect(split(3000)[2]).toBe('N - He counted them.');
});

test('at its very beginning a turn is given to another, and keeps its time', () => {
  const begun = at(talk(), 'He went');
  expect(read(apply(begun, beginTurn(begun, 'N', 9000)))[1]).toBe('N 5000 He went down. He counted them.');
  expect(read(apply(talk(), castTurn(talk(), 'N')))[1]).toBe('N 5000 He went down. He counted them.');
});

test('a joined turn goes on in the one before; split there again, it has its time back', () => {
  const joined = apply(talk(), joinTurn(talk()));
  expect(read(joined)).toEqual(['R 1000 And then? He went down. He counted them.']);
  const there = at(joined, 'He went');
  expect(read(apply(there, beginTurn(there, 'W', null)))).toEqual(read(talk()));
});

test('the first turn joined is a paragraph; where there is no turn nothing is', () => {
  const first = at(talk(), 'And');
  const joined = apply(first, joinTurn(first));
  expect(joined.doc.firstChild!.type.name).toBe('paragraph');
  expect(joined.doc.firstChild!.textContent).toBe('And then?');
  expect(joinTurn(leaf('Words|.'))).toBeNull();
  expect(castTurn(leaf('Words|.'), 'R')).toBeNull();
});

test('a line on which somebody is named becomes a turn of theirs, in one step', () => {
  const typed = type(leaf('Before.', '|'), 'wa');
  const begun = apply(typed, turnOfLine(typed, 'W', 2000));
  expect(read(begun)).toEqual(['W 2000 ']);
  let undone = begun;
  undo(begun, (tr) => (undone = begun.apply(tr)));
  expect(undone.doc.textContent).toBe('Before.wa');
});

test('two speakers made one, and times written otherwise: each one undo', () => {
  const state = type(talk(), ' At ');
  const coded = state.apply(state.tr.replaceSelectionWith(state.schema.nodes.timeCode!.create()));
  expect(timesIn(coded.doc)).toMatchObject([{ at: 7000, unclear: false }]);
  const merged = apply(coded, mergeSpeakers(coded, 'W', 'R'));
  expect(read(merged).map((turn) => turn[0])).toEqual(['R', 'R']);
  expect(transcriptOf(merged.doc).cast.map(({ id }) => id)).toEqual(['R', 'N']);
  const { times } = transcriptOf(merged.doc);
  const seconds = { ...transcriptOf(merged.doc), times: { ...times, form: 'seconds' as const } };
  let now = apply(merged, writeTimes(merged, seconds));
  expect(read(now)[1]).toContain('At 7.0 s');
  for (const expected of [merged, coded]) {
    undo(now, (tr) => (now = now.apply(tr)));
    expect(fromEditor(now.doc)).toEqual(fromEditor(expected.doc));
  }
});

test('without a recording a time that is placed goes, and the space before it', () => {
  const state = withCast(leafOf(['Lost [inaudible |]'], [settingTimes(() => null)]));
  const placed = state.apply(
    state.tr.replaceSelectionWith(state.schema.nodes.timeCode!.create({ unclear: true })),
  );
  expect(placed.doc.textContent).toBe('Lost [inaudible]');
});

test('behind a placed time what is typed is joined as behind any wording', () => {
  const begun = leafOf(['Lost |'], [settingTimes(() => 61_000), joiningOn()]);
  const content = entryOf('Inaudible', '\\[inaudible');
  const [line] = content.wordings[0]!.parts[0]!.passage.content;
  (line as { content: unknown[] }).content = [
    { type: 'text', text: '[inaudible ' },
    { type: 'timeCode', attrs: { at: null, unclear: true, text: '' } },
    { type: 'text', text: ']' },
  ];
  const { from } = begun.selection;
  const { type: press, state } = bareView(
    begun.apply(placeEntry(begun, from, from, requestOf(content, 'p'))),
  );
  expect(readOf(state())).toBe('Lost [inaudible 00:01:01]');
  // The time that was set is no change by hand.
  expect(changedByHand(state(), 'p', { ...requestOf(content, 'p'), content })).toBeNull();
  press('we');
  expect(readOf(state())).toBe('Lost [inaudible 00:01:01] we');
});

test('whatever is begun, split, joined, given, merged, typed and undone, no letter is lost and times run forwards', () => {
  const act = fc.record({
    what: fc.constantFrom('begin', 'join', 'cast', 'merge', 'undo', 'redo', 'type'),
    who: fc.constantFrom('R', 'W', 'N'),
    where: fc.double({ min: 0, max: 1, noNaN: true }),
    now: fc.option(fc.integer({ min: 0, max: 20_000 })),
  });
  const lettersOf = (state: EditorState) => state.doc.textContent.replace(/\s/g, '');
  fc.assert(
    fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
      let state = leaf('He went down to the pool.', 'He counted them, |all eleven.');
      for (const { what, who, where, now } of acts) {
        const pos = Math.round(where * state.doc.content.size);
        state = state.apply(state.tr.setSelection(TextSelection.near(state.doc.resolve(pos))));
        const before = lettersOf(state);
        if (what === 'undo' || what === 'redo')
          (what === 'undo' ? undo : redo)(state, (tr) => (state = state.apply(tr)));
        else if (what === 'type') state = type(state, 'x');
        else if (what === 'begin') state = apply(state, beginTurn(state, who, now));
        else if (what === 'join') state = apply(state, joinTurn(state));
        else if (what === 'cast') state = apply(state, castTurn(state, who));
        else state = apply(state, mergeSpeakers(state, who, who === 'R' ? 'W' : 'R'));
        if (!['undo', 'redo', 'type'].includes(what)) expect(lettersOf(state)).toBe(before);
        const times = turnsIn(state.doc).flatMap(({ attrs }) => attrs.at ?? []);
        expect(times).toEqual([...times].sort((a, b) => a - b));
        state.doc.check();
      }
      for (let at = 0; at < 60; at += 1) undo(state, (tr) => (state = state.apply(tr)));
      expect(state.doc.textBetween(0, state.doc.content.size, '\n')).toBe(
        'He went down to the pool.\nHe counted them, all eleven.',
      );
      expect(turnAt(state)).toBeNull();
    }),
  );
});
