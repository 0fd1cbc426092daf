/**
 * Keys as cues: a combination ("Alt+Shift+H"), or one to begin with and then a letter ("Alt+G h"). Keys are told by their
 * place on the keyboard, as letters and digits of it, so that they are the same in every layout and on every system.
 */
const KEY_CUE = /^(?:(?:Ctrl|Alt|Shift)\+)*(?:[A-Z]|\d|F\d{1,2})(?: [a-z0-9])?$/;

const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split('');
const CTRL_OWNED = LETTERS.map((letter) => `Ctrl+${letter}`);
const CTRL_SHIFT_OWNED = 'NTWIJCBOPRAMKVZ'.split('').map((letter) => `Ctrl+Shift+${letter}`);
const DIGITS_OWNED = '0123456789'.split('').flatMap((digit) => [`Ctrl+${digit}`, `Alt+${digit}`]);
const FUNCTION_OWNED = [1, 3, 5, 6, 7, 10, 11, 12].flatMap((number) => [`F${number}`, `Alt+F${number}`]);

/** Combinations that browsers or systems keep for themselves, on one at least of those people use. */
const OWNED = new Set([
  ...CTRL_OWNED,
  ...CTRL_SHIFT_OWNED,
  ...DIGITS_OWNED,
  ...FUNCTION_OWNED,
  'Alt+D',
  'Alt+E',
  'Alt+F',
  'Alt+F4',
  'Shift+F10',
]);
/** Combinations that the leaf itself uses. */
const OURS = new Set([
  ...'JKLUIOPNMRBCAWQXYS'.split('').map((letter) => `Alt+${letter}`),
  ...['F2', 'F4', 'F8', 'F9'],
]);

/** What keeps a key cue from working. */
export type KeyCueProblem = 'not-keys' | 'writes' | 'owned' | 'ours';

/** Why keys cannot be a cue; null when they can. Without Ctrl, Alt or a function key they would write a character. */
export function keyCueProblem(keys: string): KeyCueProblem | null {
  if (!KEY_CUE.test(keys)) return 'not-keys';
  const first = keys.split(' ')[0]!;
  if (!/Ctrl|Alt|F\d/.test(first)) return 'writes';
  if (OWNED.has(first)) return 'owned';
  return OURS.has(first) ? 'ours' : null;
}

const PROBLEM_WORDS: Record<KeyCueProblem, string> = {
  'not-keys': 'Press the keys: a combination such as Alt+Shift+H, or one and then a letter.',
  writes: 'These keys write a character: add Ctrl or Alt.',
  owned: 'The browser or the system owns these keys: they may never reach the page.',
  ours: 'The leaf uses these keys itself.',
};

/** What is wrong with a key cue, in words. */
export const keyCueProblemInWords = (problem: KeyCueProblem): string => PROBLEM_WORDS[problem];

/** What of a keyboard event tells its keys. */
export interface KeyPress {
  code: string;
  key: string;
  ctrlKey: boolean;
  altKey: boolean;
  shiftKey: boolean;
}

/** The keys pressed as a key cue writes them ("Alt+Shift+H"); null for keys that cannot be in one. */
export function keysOf({ code, key, ctrlKey, altKey, shiftKey }: KeyPress): string | null {
  const place = /^(?:Key([A-Z])|Digit(\d))$/.exec(code);
  const name = place ? (place[1] ?? place[2]) : /^F\d{1,2}$/.test(key) ? key : null;
  if (!name) return null;
  return `${ctrlKey ? 'Ctrl+' : ''}${altKey ? 'Alt+' : ''}${shiftKey ? 'Shift+' : ''}${name}`;
}
