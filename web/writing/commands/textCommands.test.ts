import { expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import { TextSelection } from '@tiptap/pm/state';
import { bareView, entryOf, leafOf, readOf, requestOf } from '../../testing/leafState';
import { placeEntry } from '../../editor';
import { cueFiring, giveBack, type CueHost } from '../cues/cueFiring';
import { commandTold, textCommands, type CommandHost } from './textCommands';

const NO_CUES: CueHost = {
  cues: () => null,
  pattern: () => null,
  request: () => null,
  brought: () => undefined,
  press: () => undefined,
};
const ran: string[] = [];
const HOST: CommandHost = { commandLeadIn: () => '//', ran: (does) => void ran.push(does) };
const leaf = (...lines: string[]) =>
  bareView(leafOf(lines, [history(), cueFiring(NO_CUES), textCommands(HOST)]));

// A page whose browser gives no clipboard: what is cut is kept by the page itself.
Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });

/** What is read once a command was typed and closed, with the selection in brackets, or the caret as a bar. */
function done(lines: string[], command: string): string {
  const one = leaf(...lines);
  one.type(`${command} `);
  const { from, to } = one.state().selection;
  const at = (pos: number) => one.state().doc.textBetween(0, pos, '\n').length;
  const text = readOf(one.state());
  const [start, end] = [text.slice(0, at(from)), text.slice(at(to))];
  return from === to ? `${start}|${end}` : `${start}[${text.slice(at(from), at(to))}]${end}`;
}

test.each([
  [['It was weighed and fed |.'], '//e.2', 'It was weighed |.'],
  [['It was weighed| and fed.'], '//go', 'It was weighed//go | and fed.'],
  [['It was weighed and |fed.'], '//go.2', 'It was |weighed and fed.'],
  [['It was weighed |and fed.'], '//g.2.w.ahead', 'It was weighed and fed|.'],
  [['It was weighed |and fed.'], '//m.w', 'It was [weighed ]and fed.'],
  [['it was straße |fed.'], '//ca.3', 'It Was Straße |fed.'],
  [['swap two words |here'], '//s', 'swap words two |here'],
  [['One. Two |.'], '//e.p.up', '|.'],
  [['One.', 'Two. |'], '//j.p', 'One.Two. |'],
  [['one |'], '//s', 'one //s |'],
  [['Files are in C:|'], '//d', 'Files are in C://d |'],
] as const)('%j, then %s: %s', (lines, command, expected) => {
  expect(done([...lines], command)).toBe(expected);
});

test('what was cut is put in elsewhere, with its blanks; one undo, or Backspace, takes a command back', () => {
  const one = leaf('Seen. |', 'Then ');
  one.view.dispatch(placeEntry(one.state(), 7, 7, requestOf(entryOf('Fed', 'It ate [food].'), 'p')));
  const end = one.state().doc.child(0).nodeSize - 1;
  one.view.dispatch(one.state().tr.setSelection(TextSelection.create(one.state().doc, end)));
  one.type(' //cut.3 ');
  expect(readOf(one.state())).toBe('Seen. \nThen ');
  one.view.dispatch(one.state().tr.setSelection(TextSelection.atEnd(one.state().doc)));
  one.type('//pa ');
  expect(readOf(one.state())).toBe('Seen. \nThen It ate [food]. ');
  undo(one.state(), one.view.dispatch);
  expect(readOf(one.state())).toBe('Seen. \nThen //pa');
  const other = leaf('It was fed |');
  other.type('//e ');
  expect(giveBack(other.view)).toBe(true);
  expect(readOf(other.state())).toBe('It was fed //e');
});

test('before it is closed a command tells what it would do, and to which words', () => {
  const one = leaf('It was weighed and fed |.');
  one.type('//e.2');
  expect(commandTold(one.state())).toEqual({ does: 'Delete 2 words back', words: 'and fed' });
  const nothing = leaf('|');
  nothing.type('//s');
  expect(commandTold(nothing.state())?.words).toBeNull();
  expect(commandTold(leaf('no command|').state())).toBeNull();
});

test('Escape calls a command off: it is text from then on; one that ran says how it is taken back', () => {
  const one = leaf('It was fed |');
  one.type('//e');
  expect(one.press('Escape')).toBe(true);
  one.type(' ');
  expect(readOf(one.state())).toBe('It was fed //e ');
  expect(one.press('Escape')).toBe(false);
  ran.length = 0;
  one.type('//e ');
  expect(ran).toEqual(['Delete one word back']);
  const again = leaf('It was fed |');
  again.type('//e');
  again.press('Escape');
  const { from } = again.state().selection;
  again.view.dispatch(again.state().tr.delete(from - 3, from));
  again.type('//e ');
  expect(ran).toHaveLength(2);
});
