import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  CUE_MAKING,
  CueIndex,
  DEFAULT_CUE_RULES,
  explainCue,
  keysInWords,
  proposeCue,
  resolveCue,
  typedCase,
  type Closer,
  type CueRules,
  type ResolvedCue,
} from './index';
import { SHORT_WORDS } from './shortWords';

const cue = (typed: string, rules: Partial<CueRules> = {}): ResolvedCue => ({
  entry: typed,
  typed,
  rules: { ...DEFAULT_CUE_RULES, fires: 'last', ...rules },
});

const LETTER_OR_DIGIT = /[\p{L}\p{N}]/u;

/** The slow and obvious way: look at every cue. */
function reference(cues: ResolvedCue[], text: string, closer: Closer | null): string | null {
  const matching = cues.filter(({ typed, rules }) => {
    if (!text.toLowerCase().endsWith(typed.toLowerCase())) return false;
    if (rules.letters === 'exact' && !text.endsWith(typed)) return false;
    if (closer ? rules.fires !== 'closing' || !rules.closers.includes(closer) : rules.fires !== 'last')
      return false;
    const before = text.charAt(text.length - typed.length - 1);
    if (before === '' || rules.before === 'anything') return true;
    return rules.before === 'space' ? /\s/.test(before) : !LETTER_OR_DIGIT.test(before);
  });
  const longest = Math.max(...matching.map(({ typed }) => typed.length));
  return matching.find(({ typed }) => typed.length === longest)?.entry ?? null;
}

describe('the cue before the caret', () => {
  test.each([
    ['at the line start', ',adm', ',adm', {}],
    ['after a space', 'Seen. ,adm', ',adm', {}],
    ['after punctuation', '(,adm', ',adm', {}],
    ['not inside a word by default', 'madam,adm', null, {}],
    ['inside a word where anything may stand', 'madam,adm', ',adm', { before: 'anything' }],
    ['only after a space where so wanted', '(,adm', null, { before: 'space' }],
    ['in any case', ',ADM', ',adm', {}],
    ['only exactly', ',ADM', null, { letters: 'exact' }],
    ['not as soon as it is typed when it waits for a closing key', ',adm', null, { fires: 'closing' }],
  ] as [string, string, string | null, Partial<CueRules>][])('%s', (_name, text, expected, rules) => {
    expect(new CueIndex([cue(',adm', rules)]).find(text)?.typed.toLowerCase() ?? null).toBe(expected);
  });

  test('closing keys: only those the cue names', () => {
    const index = new CueIndex([cue(',adm', { fires: 'closing', closers: ['space'] })]);
    expect(index.find('x ,adm', 'space')?.from).toBe(2);
    expect(index.find('x ,adm', 'enter')).toBeNull();
  });

  test('how it was typed is followed', () => {
    const index = new CueIndex([cue(',adm', { letters: 'followed' })]);
    expect([',adm', ',Adm', ',ADM'].map((text) => typedCase(index.find(text)!))).toEqual([
      'as-is',
      'capital',
      'upper',
    ]);
  });

  test('is the one a slow search finds, on random banks and texts', () => {
    const letters = fc.string({
      unit: fc.constantFrom(',', 'a', 'b', 'A', 'é', '1', ' '),
      minLength: 1,
      maxLength: 4,
    });
    const rules = fc.record({
      before: fc.constantFrom('space', 'boundary', 'anything'),
      fires: fc.constantFrom('last', 'closing'),
      closers: fc.constantFrom<Closer[][]>(['space'], ['space', 'enter']),
      keepCloser: fc.boolean(),
      letters: fc.constantFrom('exact', 'ignored', 'followed'),
    });
    const bank = fc.array(fc.record({ typed: letters, rules, entry: fc.uuid() }), { maxLength: 30 });
    const text = fc.string({ unit: fc.constantFrom(',', 'a', 'b', 'A', 'É', '1', ' '), maxLength: 12 });
    fc.assert(
      fc.property(bank, text, fc.constantFrom(null, 'space', 'enter'), (cues, typed, closer) => {
        expect(
          new CueIndex(cues as ResolvedCue[]).find(typed, closer as Closer | null)?.cue.entry ?? null,
        ).toBe(reference(cues, typed, closer));
      }),
      { numRuns: 2000 },
    );
  });
});

describe('a proposed cue by a rule', () => {
  test.each([
    ['Hedgehog admission', 'consonants', [], 'hdgh'],
    ['Hedgehog admission', 'consonants', ['hdgh'], 'ha'],
    ['Hedgehog admission', 'topic', [], 'hed1'],
    ['Hedgehog admission', 'topic', ['hed1', 'hed2'], 'hed3'],
    ['Thanks', 'topic', ['t'], 'xtha1'],
  ] as const)('%s by %s with %j taken', (title, by, taken, expected) => {
    expect(proposeCue(title, taken, by)).toBe(expected);
  });
});

describe('a proposed cue', () => {
  test.each([
    ['Hedgehog admission', [], 'ha'],
    ['Advice on the feeding of hoglets', [], 'afh'],
    ['Hedgehog admission', ['ha'], 'heda'],
    ['Discharge', [], 'dis'],
  ])('%s with %j taken', (title, taken, expected) => {
    expect(proposeCue(title, taken)).toBe(expected);
  });

  test('never equals, begins or continues a taken one', () => {
    const short = fc.string({
      unit: fc.constantFrom('a', 'b', 'x', 'z', 'q', '2'),
      minLength: 1,
      maxLength: 3,
    });
    fc.assert(
      fc.property(fc.string(), fc.array(short), (title, taken) => {
        const proposed = proposeCue(title, taken);
        if (proposed === '')
          expect(['x', 'z', 'q'].every((lead) => taken.some((cue) => cue.startsWith(lead)))).toBe(true);
        else expect(taken.filter((cue) => cue.startsWith(proposed) || proposed.startsWith(cue))).toEqual([]);
      }),
    );
  });
});

describe('a line tried out', () => {
  const cues = [
    cue(',ad'),
    cue(';bye', { fires: 'closing', closers: ['space', 'enter'] }),
    cue(';Rt', { letters: 'exact' }),
    cue('hh', { fires: 'closing', before: 'space' }),
  ];
  test.each([
    ['seen ,ad', 'fires', ',ad'],
    ['madam,ad', 'before', ',ad'],
    [';bye', 'waits', ';bye'],
    [';bye ', 'fires', ';bye'],
    [';bye.', 'closer', ';bye'],
    [';rt', 'letters', ';Rt'],
    ['(hh ', 'before', 'hh'],
    ['(hh', 'before', 'hh'],
    ['nothing here', 'nothing', undefined],
    ['', 'nothing', undefined],
  ])('%j: %s', (line, code, typed) => {
    const found = explainCue(line, cues);
    expect([
      found.code,
      'cue' in found ? found.cue.typed : 'match' in found ? found.match.cue.typed : undefined,
    ]).toEqual([code, typed]);
  });
});

describe('a proposed cue', () => {
  test.each([
    ['In the nest', 'initials', 'nest'],
    ['Is never', 'initials', 'isn'],
    ['Owl talk', 'topic', 'owl1'],
    ['It is so', 'initials', 'iso'],
  ] as const)('for %s by %s is no word', (title, by, not) => {
    const proposed = proposeCue(title, [], by, (word) => word === not);
    expect(proposed).not.toBe(not);
    expect(proposed).not.toMatch(/^(?:in|is|it|on|of|no)$/);
    expect(proposed.length).toBeGreaterThan(1);
  });

  test('is never one of the small words of English, whatever the title', () => {
    fc.assert(
      fc.property(fc.lorem({ maxCount: 5 }), fc.constantFrom(...CUE_MAKING), (title, by) => {
        expect(SHORT_WORDS.has(proposeCue(title, [], by))).toBe(false);
      }),
    );
    for (const word of SHORT_WORDS) {
      const title = [...word].map((letter) => `${letter}xq`).join(' ');
      expect(proposeCue(title, [])).not.toBe(word);
    }
  });
});

test.each([
  [{ fires: 'last' }, ';wt'],
  [{ fires: 'closing' }, ';wt and Space'],
  [{ fires: 'closing', closers: ['punctuation', 'enter'] }, ';wt and Enter'],
] as const)('the keys of a cue that %j are %s', (rules, keys) => {
  const cue = { text: 'wt', rules: rules as Partial<CueRules> };
  expect(keysInWords(resolveCue('e', cue, { leadIn: ';', cueRules: DEFAULT_CUE_RULES }))).toBe(keys);
});
