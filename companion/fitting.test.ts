import { describe, expect, test } from '@jest/globals';
import { DEFAULT_CUE_RULES, type CueRules } from '#core/cue';
import { newEntry } from '#core/entry';
import type { Bank } from '#core/bank';
import { packCues } from './background/packCues';
import { isLeftAlone } from './leftAlone';
import { originOf, patternOf } from './originOf';
import { FittingCues } from './page/fittingCues';
import { typedUpToCue } from './page/heldWords';

const collection = (id: string, cueRules: CueRules, over: object = {}) => ({
  ...{ id, name: id, leadIn: ';', cueRules, cuesBy: 'initials' as const, kindsOfWork: [], language: 'en-GB' },
  ...{ parent: null, position: 0, own: false, right: 'keep' as const, version: 1, changes: 1 },
  ...over,
});
const entry = (id: string, of: string, cue: object, over: object = {}) => ({
  ...{ id, collection: of, revision: 1, savedAt: '', savedBy: '', reason: '', varies: null },
  content: { ...newEntry(id, 'en-GB'), cues: [cue], ...over },
});
const AT_ONCE: CueRules = { ...DEFAULT_CUE_RULES, fires: 'last', before: 'anything' };
const KEPT: CueRules = { ...DEFAULT_CUE_RULES, keepCloser: true, letters: 'followed' };

const bank = {
  collections: [collection('a', DEFAULT_CUE_RULES), collection('b', AT_ONCE), collection('c', KEPT)],
  counts: {},
  away: [],
  gone: [],
  entries: [
    entry('regards', 'a', { text: 'kr' }),
    entry('longer', 'a', { text: 'krs' }),
    entry('once', 'b', { text: 'on' }),
    entry('kept', 'c', { text: 'owl' }),
    entry('keys', 'a', { as: 'keys', text: 'Alt+Shift+H' }),
    entry('pattern', 'a', { as: 'pattern', text: 'ref ([0-9]+)' }),
    entry('retired', 'a', { text: 'old' }, { retired: true }),
  ],
} as unknown as Bank;
const packed = (own: { in: string[]; out: string[] } | null = null) =>
  packCues(bank, { reach: own }, 'print');
const cues = new FittingCues(packed().cues);

describe('the cues of a page', () => {
  test.each([
    ['a closing key', 'With ;kr ', { entry: 'regards', typed: ';kr ', before: 'With ', kept: '', keys: 4 }],
    ['punctuation', ';kr.', { entry: 'regards', typed: ';kr.' }],
    ['the longest', ';krs ', { entry: 'longer' }],
    ['the last letter', 'x;on', { entry: 'once', typed: ';on', before: 'x', inWord: true, keys: 3 }],
    ['a closing key that stays', ';owl,', { entry: 'kept', kept: ',', typedCase: 'as-is' }],
    ['the case typed', ';OWL ', { entry: 'kept', kept: ' ', typedCase: 'upper', typed: ';OWL ' }],
  ])('fire by %s', (_, line, found) => {
    expect(cues.endOf(line)).toMatchObject(found);
  });

  test.each([['kr '], ['a;kr '], [';kr'], [';old '], ['ref 12 '], ['']])('do not fire on %j', (line) => {
    expect(cues.endOf(line)).toBeNull();
  });

  test('fire by Enter and Tab, which type nothing', () => {
    expect(cues.closedBy('With ;kr', 'enter')).toMatchObject({ entry: 'regards', typed: ';kr', keys: 4 });
    expect(cues.closedBy('With ;on', 'tab')).toBeNull();
  });

  test('are by keys too, and say whether there are patterns', () => {
    expect([cues.ofKeys('Alt+Shift+H'), cues.ofKeys('Alt+Shift+J')]).toEqual(['keys', null]);
    expect(cues.hasPatterns).toBe(true);
    expect(packed().patterns.map(({ entry: of }) => of)).toEqual(['pattern']);
  });

  test('of what its member switched out are not sent at all; rules are sent once', () => {
    const { typed, rules } = packed({ in: [], out: ['a', 'c'] }).cues;
    expect(typed.map(([letters]) => letters)).toEqual([';on']);
    expect(rules).toEqual([AT_ONCE]);
    expect(packed().cues.rules).toHaveLength(3);
  });
});

describe('pages', () => {
  test.each([
    ['bank.example', ['bank.example'], true],
    ['bank.example:8080', ['bank.example'], true],
    ['my.bank.example', ['bank.example'], false],
    ['my.bank.example', ['*.bank.example'], true],
    ['bank.example', ['*.bank.example'], true],
    ['mybank.example', ['*.bank.example'], false],
    ['mail.example', [], false],
  ])('%s is left alone by %j: %s', (host, list, isAlone) => {
    expect(isLeftAlone(host, list)).toBe(isAlone);
  });

  test.each([
    ['elderleaf.school.example', 'https://elderleaf.school.example'],
    [' https://Elderleaf.example/bank?x=1 ', 'https://elderleaf.example'],
    ['localhost:4780', 'http://localhost:4780'],
    ['127.0.0.1:4780/desk', 'http://127.0.0.1:4780'],
    ['http://elderleaf.example:81', 'http://elderleaf.example:81'],
    ['javascript:alert(1)', null],
    ['not an address', null],
    ['', null],
  ])('the origin of %j is %j', (typed, origin) => {
    expect(originOf(typed)).toBe(origin);
  });

  test('are granted without their port', () => {
    expect(patternOf('http://localhost:4780')).toBe('http://localhost/*');
  });
});

const keysOf = (names: readonly string[]) =>
  names.map((key) => ({ key, code: '', ctrlKey: false, altKey: false, shiftKey: false }));
const HELD = { line: '', isOneLine: false, cues, isRefused: () => false };

test.each([
  [['a', 'b'], 'ab', 'ab'],
  [['a', 'Backspace', 'c'], 'c', 'c'],
  [['Backspace', 'a'], 'a', 'a'],
  [['a', 'Enter', 'b'], 'a\nb', 'ab'],
  [['a', 'Tab', 'Escape', 'b'], 'ab', 'ab'],
])('keys held, %j, type %j, and in one line %j', (keys, several, one) => {
  expect(typedUpToCue(keysOf(keys), HELD)).toEqual({ words: several, fitting: null, left: [] });
  expect(typedUpToCue(keysOf(keys), { ...HELD, isOneLine: true }).words).toBe(one);
});

describe('a cue among keys that were held', () => {
  const type = (words: string, over: object = {}) => {
    const { fitting, left, ...typed } = typedUpToCue(keysOf([...words]), { ...HELD, ...over });
    return [typed.words, fitting?.entry ?? null, left.map(({ key }) => key).join('')];
  };
  test('brings its entry at the letter that it would, and what is behind it waits', () => {
    expect(type(' and ;kr to all')).toEqual([' and ;kr ', 'regards', 'to all']);
    expect(type(' ;on and on')).toEqual([' ;on', 'once', ' and on']);
  });
  test('may have begun before, and ends with its line', () => {
    expect(type('r on', { line: 'All the best, ;k' })).toEqual(['r ', 'regards', 'on']);
    const keys = keysOf(['\n', 'k', 'r', ' '].map((key) => (key === '\n' ? 'Enter' : key)));
    expect(typedUpToCue(keys, { ...HELD, line: ';' })).toEqual({ words: '\nkr ', fitting: null, left: [] });
  });
  test('is closed by Enter or Tab, which then type nothing', () => {
    const { words, fitting, left } = typedUpToCue(keysOf([';', 'k', 'r', 'Enter', 'x']), HELD);
    expect([words, fitting?.entry, left.length]).toEqual([';kr', 'regards', 1]);
  });
  test('that was given back, or where the line is not known, is words', () => {
    expect(type(';kr to', { isRefused: () => true })).toEqual([';kr to', null, '']);
    expect(type(';kr to', { line: null })).toEqual([';kr to', null, '']);
    expect(type(';kr to', { cues: null })).toEqual([';kr to', null, '']);
  });
});
