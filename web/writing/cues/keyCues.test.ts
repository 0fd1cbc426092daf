import { expect, test } from '@jest/globals';
import { TextSelection } from '@tiptap/pm/state';
import { DEFAULT_CUE_RULES, resolveCue } from '#core/cue';
import { bareView, entryOf, leafOf, readOf, requestOf } from '../../testing/leafState';
import { begunAt, keyCues, type KeyCueHost } from './keyCues';

const CUES: [entry: string, keys: string][] = [
  ['fed', 'Alt+G'],
  ['handled', 'Alt+H h'],
  ['housed', 'Alt+H o'],
  // Of two alike the first wins.
  ['held', 'Alt+H h'],
  ['gone', 'Alt+Z'],
];

/** A leaf with the caret at |, on which those keys bring "fed." and so on. */
function leaf(line = '|') {
  const cues = CUES.map(([id, text]) =>
    resolveCue(id, { text, as: 'keys' }, { leadIn: ';', cueRules: DEFAULT_CUE_RULES }),
  );
  const brought: unknown[] = [];
  const host: KeyCueHost = {
    keys: () => cues,
    request: (id, cue) => (id === 'gone' ? null : requestOf(entryOf(id, `${id}.`), `p-${id}`, { cue })),
    brought: (_placement, entry, keys, way) => brought.push([entry, keys, way]),
  };
  const plugin = keyCues(host);
  const bare = bareView(leafOf([line], [plugin]));
  /** Presses keys as "Alt+H" or "H"; whether each was used up. */
  const press = (keys: string, more: Partial<KeyboardEvent> = {}) => {
    const name = keys.split('+').at(-1)!;
    let isHeld = false;
    const event = {
      ...{ key: name.toLowerCase(), code: /^[A-Z]$/.test(name) ? `Key${name}` : name },
      ...{ altKey: keys.includes('Alt+'), ctrlKey: keys.includes('Ctrl+'), shiftKey: false, metaKey: false },
      ...{ isComposing: false, getModifierState: () => false, preventDefault: () => (isHeld = true) },
      ...(name.length > 1 && { key: name }),
      ...more,
    } as unknown as KeyboardEvent;
    const isUsed = plugin.props.handleKeyDown!.call(plugin, bare.view, event) ?? false;
    expect(isUsed).toBe(isHeld);
    return isUsed;
  };
  return { ...bare, brought, press, read: () => readOf(bare.state()) };
}

test('a combination of keys brings its entry at the caret, and each key of it counts', () => {
  const one = leaf('Seen, | again');
  expect(one.press('Alt+G')).toBe(true);
  expect(one.read()).toBe('Seen, fed. again');
  expect(one.brought).toEqual([['fed', 2, 'keys']]);
});

test('what is selected gives way to what is brought', () => {
  const one = leaf('Seen it|');
  const { state } = one.view;
  one.view.dispatch(state.tr.setSelection(TextSelection.create(state.doc, 6, 8)));
  one.press('Alt+G');
  expect(one.read()).toBe('Seen fed.');
});

test('a key that begins several shows their letters, each once and in their order; a letter then brings one', () => {
  const one = leaf();
  expect(one.press('Alt+H')).toBe(true);
  expect(begunAt(one.state())).toEqual({
    keys: 'Alt+H',
    letters: [
      { letter: 'h', entry: 'handled' },
      { letter: 'o', entry: 'housed' },
    ],
  });
  expect(one.read()).toBe('');
  expect(one.press('H')).toBe(true);
  expect(one.read()).toBe('handled.');
  expect(one.brought).toEqual([['handled', 3, 'keys']]);
  expect(begunAt(one.state())).toBeNull();
});

test.each<[string, string, boolean]>([
  ['Escape leaves the list, and does nothing else', 'Escape', true],
  ['a letter that brings nothing means what it always does', 'X', false],
])('%s', (_what, key, isUsed) => {
  const one = leaf();
  one.press('Alt+H');
  expect(one.press(key)).toBe(isUsed);
  expect(begunAt(one.state())).toBeNull();
  expect([one.read(), one.brought]).toEqual(['', []]);
});

test('the list is gone once something is written or the caret goes elsewhere', () => {
  for (const go of ['type', 'move'] as const) {
    const one = leaf('Seen|');
    one.press('Alt+H');
    const { state } = one.view;
    if (go === 'type') one.type('x');
    else one.view.dispatch(state.tr.setSelection(TextSelection.create(state.doc, 1)));
    expect(begunAt(one.state())).toBeNull();
  }
});

test.each<[string, string, Partial<KeyboardEvent>]>([
  ['a key alone that is held while another follows', 'Alt+G', { key: 'Alt' }],
  ['letters that an input method is putting together', 'Alt+G', { isComposing: true }],
  ['what AltGr writes', 'Alt+G', { getModifierState: () => true }],
  ['what the system does with its own key', 'Alt+G', { metaKey: true }],
  ['keys without a cue', 'Alt+Q', {}],
  ['a key that is no letter, digit or function key', 'Alt+Tab', {}],
  ['a cue whose entry is gone', 'Alt+Z', {}],
])('%s is left alone', (_what, keys, more) => {
  const one = leaf('Seen|');
  expect(one.press(keys, more)).toBe(false);
  expect([one.read(), one.brought]).toEqual(['Seen', []]);
});
