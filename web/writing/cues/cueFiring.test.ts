import { expect, test } from '@jest/globals';
import { history } from '@tiptap/pm/history';
import { CueIndex, DEFAULT_CUE_RULES, resolveCue, type CueRules } from '#core/cue';
import { bareView, entryOf, leafOf, readOf, requestOf } from '../../testing/leafState';
import { cueFiring, type CueHost } from './cueFiring';

const ENTRIES: Record<string, string> = {
  fed: 'it was fed.',
  fedwell: 'It was fed well.',
  asked: 'It ate [food].',
  ng: 'ing',
};

/** A leaf with the caret at |, on which the cues of those entries fire, each after a semicolon. */
function leaf(line: string, rules: Partial<CueRules> = {}, answer: CueHost['pattern'] = () => null) {
  const cueRules = { ...DEFAULT_CUE_RULES, ...rules };
  const resolved = Object.keys(ENTRIES).map((id) => resolveCue(id, { text: id }, { leadIn: ';', cueRules }));
  const cues = new CueIndex(resolved);
  const brought: [string, number, string][] = [];
  let placements = 0;
  const host: CueHost = {
    cues: () => cues,
    pattern: answer,
    request: (id, cue) =>
      id in ENTRIES ? requestOf(entryOf(id, ENTRIES[id]!), `p${(placements += 1)}`, { cue }) : null,
    brought: (_, id, keys, way) => void brought.push([id, keys, way]),
    press: () => bare.view.dispatch(bare.view.state.tr.split(bare.view.state.selection.from)),
  };
  const bare = bareView(leafOf([line], [history(), cueFiring(host)]));
  return { ...bare, brought, read: () => readOf(bare.state()) };
}

const CASES: [line: string, typed: string, rules: Partial<CueRules>, read: string][] = [
  ['|', ';fed ', {}, 'it was fed.'],
  ['|', ';fed ', { keepCloser: true }, 'it was fed. '],
  ['|', ';fed.', { keepCloser: true }, 'it was fed..'],
  ['|', ';fed!', { closers: ['space'] }, ';fed!'],
  ['|', ';fed', { fires: 'last' }, 'it was fed.'],
  // The longest that ends there is the one that is meant.
  ['|', ';fedwell ', {}, 'It was fed well.'],
  ['a|', ';fed ', {}, 'a;fed '],
  ['a|', ';fed ', { before: 'anything' }, 'a it was fed.'],
  // An ending goes on with its word.
  ['bandag|', ';ng ', { before: 'anything' }, 'bandaging'],
  ['bandag |', ';ng ', { before: 'anything' }, 'bandag ing'],
  ['a|', 'b;fed ', { before: 'space' }, 'ab;fed '],
  ['|', ';FED ', {}, 'it was fed.'],
  ['|', ';FED ', { letters: 'exact' }, ';FED '],
  ['|', ';Fed ', { letters: 'followed' }, 'It was fed.'],
  ['|', ';FED ', { letters: 'followed' }, 'IT WAS FED.'],
  ['|', ';nothing ', {}, ';nothing '],
  ['Seen. |Slept.', ';fed ', {}, 'Seen. it was fed. Slept.'],
  ['|', ';fed ;fed ', { keepCloser: true }, 'it was fed. it was fed. '],
];

test.each(CASES)('on "%s" typed "%s" by %j: "%s"', (line, typed, rules, read) => {
  const one = leaf(line, rules);
  one.type(typed);
  expect(one.read()).toBe(read);
});

test('keys are counted with the one that closed, once for each placement', () => {
  const one = leaf('|');
  one.type(';fed ');
  const last = leaf('|', { fires: 'last' });
  last.type(';fed');
  expect([one.brought, last.brought]).toEqual([[['fed', 5, 'cue']], [['fed', 4, 'cue']]]);
});

test('Backspace right after gives back what was typed, which then stays as it is', () => {
  const one = leaf('Seen. |');
  one.type(';fed ');
  expect(one.press('Backspace')).toBe(true);
  expect(one.read()).toBe('Seen. ;fed ');
  // Typed on, it does not fire again; a second Backspace is the editor’s own.
  expect(one.press('Backspace')).toBe(false);
  one.type('.');
  expect(one.read()).toBe('Seen. ;fed .');
  one.type(' ;fed ');
  expect(one.read()).toBe('Seen. ;fed . it was fed.');
});

test('after anything else Backspace is Backspace', () => {
  const one = leaf('|');
  one.type(';fed x');
  expect(one.press('Backspace')).toBe(false);
});

test('Enter and Tab close too: Enter goes to the next line where it is kept', () => {
  const entered = leaf('|', { keepCloser: true });
  entered.type(';fed');
  expect(entered.press('Enter')).toBe(true);
  entered.type('Then');
  expect(entered.read()).toBe('it was fed.\nThen');
  const tabbed = leaf('|');
  tabbed.type(';fed');
  expect(tabbed.press('Tab')).toBe(true);
  expect(tabbed.read()).toBe('it was fed.');
  const neither = leaf('|', { closers: ['space'] });
  neither.type(';fed');
  expect([neither.press('Enter'), neither.press('Tab')]).toEqual([false, false]);
});

test('a pattern gives way to a cue, and brings its entry where no cue ends', () => {
  const asked: string[] = [];
  const pattern: CueHost['pattern'] = (line, closer) => {
    asked.push(line);
    const rules = DEFAULT_CUE_RULES;
    if (closer !== 'space' || !line.endsWith('fed 5g')) return null;
    const cue = { entry: 'fed', typed: 'fed (?P<Amount>\\d+)g', as: 'pattern' as const, rules };
    return { cue, from: line.length - 6, typed: 'fed 5g', groups: [] };
  };
  const one = leaf('|', {}, pattern);
  one.type('fed 5g ');
  expect(one.read()).toBe('it was fed.');
  asked.length = 0;
  one.type(' ;fed ');
  expect(one.read()).toBe('it was fed. it was fed.');
  expect(asked.filter((line) => line.includes(';fed'))).toEqual([]);
});

test('what an entry asks for is asked at once; where the entry is gone, the cue stays text', () => {
  const one = leaf('|');
  one.type(';asked ');
  expect(one.read()).toBe('It ate [food].');
  expect(one.state().selection.toJSON()).toMatchObject({ type: 'node' });
  const gone = leaf('|', {}, () => null);
  delete ENTRIES.asked;
  gone.type(';asked ');
  expect(gone.read()).toContain(';asked');
});
