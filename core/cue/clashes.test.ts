import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  clashesOf,
  clashInWords,
  DEFAULT_CUE_RULES,
  keyCueProblem,
  keysOf,
  nearCues,
  type BankCue,
  type CueRules,
  type Lexicon,
} from '.';

const WORDS = ['owl', 'fowl', 'owlet', 'was', 'admit'];
const lexicon: Lexicon = {
  isWord: (word) => WORDS.includes(word),
  longer: (beginning) => WORDS.find((word) => word !== beginning && word.startsWith(beginning)) ?? null,
  endingIn: (end) => WORDS.find((word) => word !== end && word.endsWith(end)) ?? null,
};

interface Made {
  typed: string;
  in?: string;
  kinds?: string[];
  leadIn?: string;
  rules?: Partial<CueRules>;
}

const cue = ({ typed, in: id = 'ward', kinds = ['admission'], leadIn = '', rules = {} }: Made): BankCue => ({
  entry: `${id} ${typed} ${JSON.stringify(rules)}`,
  typed,
  title: typed.toUpperCase(),
  leadIn,
  collection: { id, name: id, kindsOfWork: kinds, own: false, cuesBy: 'initials' },
  rules: { ...DEFAULT_CUE_RULES, fires: 'last', ...rules },
});
const codes = (...made: Made[]) =>
  clashesOf(made.map(cue), lexicon, () => 'free').map(({ code, cue: { typed }, other, word }) =>
    [code, typed, other?.typed ?? word ?? ''].join(' '),
  );

test.each<[string, Made[], string[]]>([
  ['a number', [{ typed: '1' }], ['number 1 ']],
  ['a mark', [{ typed: '.' }], ['mark . ']],
  ['a small word that no glossary need know', [{ typed: 'on' }], ['word on on']],
  [
    'nothing',
    [
      { typed: ',ad', leadIn: ',' },
      { typed: ',wt', leadIn: ',' },
    ],
    [],
  ],
  ['one begins another that fires at once', [{ typed: ',a' }, { typed: ',adm' }], ['begins ,a ,adm']],
  ['on a closing key it does not', [{ typed: ',a', rules: { fires: 'closing' } }, { typed: ',adm' }], []],
  [
    'taken, whatever the capitals',
    [{ typed: ',ad' }, { typed: ',AD', rules: { letters: 'exact' } }],
    ['taken ,AD ,ad'],
  ],
  [
    'two collections in reach together',
    [{ typed: ',ad' }, { typed: ',ad', in: 'own', kinds: [] }],
    ['two-collections ,ad ,ad'],
  ],
  [
    'two that are never together',
    [{ typed: ',ad' }, { typed: ',ad', in: 'school', kinds: ['feedback'] }],
    [],
  ],
  ['an ordinary word', [{ typed: 'was' }], ['word was was']],
  ['on a closing key as well', [{ typed: 'was', rules: { fires: 'closing' } }], ['word was was']],
  ['the beginning of a word, fired at once', [{ typed: 'adm' }], ['begins-word adm admit']],
  ['not on a closing key', [{ typed: 'adm', rules: { fires: 'closing' } }], []],
  [
    'the end of a word, where anything may stand before',
    [{ typed: 'owl', rules: { before: 'anything' } }],
    ['word owl owl', 'ends-word owl fowl'],
  ],
  ['a lead-in that text uses', [{ typed: '(ad', leadIn: '(' }], ['usual-lead-in (ad ']],
])('%s', (_name, made, expected) => {
  expect(codes(...made)).toEqual(expected);
});

test('each clash is said in words, with what it names', () => {
  const made = [{ typed: ',a' }, { typed: ',adm' }, { typed: 'was' }].map(cue);
  expect(clashesOf(made, lexicon, () => 'x').map(clashInWords)).toEqual([
    ',a fires at once, so that ,adm (“,ADM”) can never be typed.',
    'was is an ordinary word: it would bring “WAS” wherever it is written.',
  ]);
});

test('clashes between cues are just those that comparing each with each finds', () => {
  const anyCue = fc.record({
    typed: fc.string({ unit: fc.constantFrom(',', 'x', 'y', 'X'), minLength: 1, maxLength: 3 }),
    in: fc.constantFrom('a', 'b'),
    kinds: fc.constantFrom<string[][]>([], ['p'], ['q']),
    rules: fc.record({ fires: fc.constantFrom('last', 'closing') }),
  });
  fc.assert(
    fc.property(fc.array(anyCue, { maxLength: 12 }), (made) => {
      const cues = made.map((one, at) => ({ ...cue(one), entry: String(at) }));
      const pairs = cues.flatMap((a, i) =>
        cues.flatMap((b, j) => {
          const [one, other] = [a.typed.toLowerCase(), b.typed.toLowerCase()];
          const kinds = [a.collection.kindsOfWork, b.collection.kindsOfWork];
          const apart =
            kinds.every((some) => some.length > 0) && !kinds[0]!.some((kind) => kinds[1]!.includes(kind));
          if (i === j || apart) return [];
          if (one === other) return i < j ? [`same ${i} ${j}`] : [];
          return other.startsWith(one) && a.rules.fires === 'last' ? [`begins ${i} ${j}`] : [];
        }),
      );
      const found = clashesOf(cues, lexicon, () => '').flatMap(({ code, cue: of, other }) => {
        if (!other) return [];
        return code === 'begins'
          ? [`begins ${of.entry} ${other.entry}`]
          : [`same ${other.entry} ${of.entry}`];
      });
      expect(found.sort()).toEqual(pairs.sort());
    }),
  );
});

describe('key cues', () => {
  test.each([
    ['Alt+Shift+H', null],
    ['Alt+G h', null],
    ['Ctrl+Alt+7', null],
    ['Alt+G  h', 'not-keys'],
    ['Hello', 'not-keys'],
    ['Shift+H', 'writes'],
    ['G h', 'writes'],
    ['Ctrl+T', 'owned'],
    ['F5', 'owned'],
    ['F5 h', 'owned'],
    ['Alt+J', 'ours'],
    ['Alt+C', 'ours'],
  ])('%s: %s', (keys, problem) => {
    expect(keyCueProblem(keys)).toBe(problem);
  });

  test('keys are told by their place, whatever letter a layout or a system gives them', () => {
    const press = { ctrlKey: false, altKey: true, shiftKey: true };
    expect(keysOf({ code: 'KeyH', key: '˙', ...press })).toBe('Alt+Shift+H');
    expect(keysOf({ code: 'F8', key: 'F8', ctrlKey: false, altKey: false, shiftKey: false })).toBe('F8');
    expect(keysOf({ code: 'Space', key: ' ', ...press })).toBeNull();
  });
});

test.each([
  [',amd', ['mistyped']],
  [',adn', ['mistyped']],
  [',admm', ['mistyped']],
  ['adm', ['no-lead-in']],
  [',adm', []],
  [',wtx', []],
  ['a', []],
])('%s is near: %j', (typed, slips) => {
  const near = nearCues(typed, [cue({ typed: ',adm', leadIn: ',' })], () => ',');
  expect(near.map(({ slip }) => slip)).toEqual(slips);
});
