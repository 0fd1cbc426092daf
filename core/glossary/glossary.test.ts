import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { consonantsOf, initialsOf } from './keys';
import {
  bestFirst,
  dateOffers,
  endingsOf,
  folded,
  newTerm,
  readWordList,
  writeWordList,
  offersFor,
  TermIndex,
  usedOf,
  type FoundBy,
  type Offerable,
  type OfferSource,
} from '.';

const term = (text: string, weight = 1, more: Partial<Offerable> = {}): Offerable => ({
  text,
  weight,
  ...more,
});

const source = (id: string, terms: Offerable[], more: Partial<OfferSource> = {}): OfferSource => ({
  id,
  kind: 'term',
  priority: 0,
  index: new TermIndex(bestFirst(terms)),
  used: null,
  ...more,
});

/** The slow and obvious way: every term looked at, by each rule as the needs have it. */
function reference(terms: readonly Offerable[], typed: string, by: FoundBy, most: number): number[] {
  const isOne = typed.length < 2;
  if (typed === '' || (isOne && (by !== 'cue' || /[\p{L}\p{N}]/u.test(typed)))) return [];
  return terms
    .flatMap(({ text, cues = [], beginnings = [] }, id) => {
      const plain = folded(text);
      const keys = {
        cue: cues.map(folded),
        beginning: [plain, ...beginnings.map(folded)],
        initials: [initialsOf(plain)],
        consonants: [consonantsOf(plain)],
      }[by];
      if (by === 'consonants') {
        const bare = typed.replace(/(.)\1+/g, '$1');
        return /^[a-z][^aeiou\W\d_]{2,}$/.test(typed) && keys.some((key) => key.startsWith(bare)) ? [id] : [];
      }
      return keys.some((key) => key.startsWith(typed)) ? [id] : [];
    })
    .slice(0, most);
}

const letters = (max: number) =>
  fc.string({ unit: fc.constantFrom('a', 'b', 'c', 'é', 'E', ' ', '-', ','), minLength: 1, maxLength: max });
const anyTerm = fc
  .record({
    text: letters(9),
    weight: fc.nat(3),
    cues: fc.array(letters(3), { maxLength: 2 }),
    beginnings: fc.array(letters(5), { maxLength: 2 }),
  })
  .filter(({ text }) => text.trim() !== '');
const RULES = fc.constantFrom<FoundBy>('cue', 'beginning', 'initials', 'consonants');

test('the index finds just what looking at every term finds, in the same order', () => {
  fc.assert(
    fc.property(
      fc.array(anyTerm, { maxLength: 60 }),
      letters(4).map(folded),
      RULES,
      fc.integer({ min: 1, max: 12 }),
      (some, typed, by, most) => {
        const terms = bestFirst(some);
        expect(new TermIndex(terms).find(typed, by, most)).toEqual(reference(terms, typed, by, most));
      },
    ),
    { numRuns: 3000 },
  );
});

test('and does so in lists of many blocks', () => {
  const many = fc.array(
    fc.string({ unit: fc.constantFrom('a', 'b', 'c'), minLength: 2, maxLength: 7 }).map((text) => term(text)),
    { minLength: 500, maxLength: 1500, size: 'max' },
  );
  fc.assert(
    fc.property(
      many,
      fc.constantFrom('aa', 'ab', 'ba', 'abc', 'cc'),
      fc.integer({ min: 1, max: 30 }),
      (terms, typed, most) => {
        expect(new TermIndex(terms).find(typed, 'beginning', most)).toEqual(
          reference(terms, typed, 'beginning', most),
        );
      },
    ),
    { numRuns: 40 },
  );
});

// What people see, in order: a change of ranking shows here as a readable difference.
describe('offers', () => {
  const english = source('english', [
    term('hedge', 30),
    term('hedgehog', 30),
    term('hedgerow', 10),
    term('heat', 50),
    term('with', 60),
    term('kind', 60),
    term('bandage', 20),
    term('bandages', 10),
  ]);
  const species = source(
    'species',
    [term('hedgehog'), term('hen harrier'), term('hooded crow'), term('Hedera helix')],
    { priority: 2 },
  );
  const phrases = source('house', [term('with kind regards', 3), term('the hedgehog was weighed', 2)], {
    priority: 1,
  });
  const bank = source(
    'bank',
    [
      term('Hedgehog admission', 0, {
        cues: [',adm', 'adm'],

        beginnings: ['Bramble was admitted'],
      }),
      term('Heat pad', 0, { cues: [',hp', 'hp'] }),
    ],
    { kind: 'entry', priority: 3 },
  );
  const all = [english, species, phrases, bank];
  const texts = (line: string, sources = all) =>
    offersFor(line, sources, 9).map(({ text, by }) => `${text} (${by})`);

  test.each([
    [
      'hed',
      [
        'Hedgehog admission (beginning)',
        'hedgehog (beginning)',
        'Hedera helix (beginning)',
        'hedge (beginning)',
        'hedgerow (beginning)',
      ],
    ],
    ['It is a hdgh', ['hedgehog (consonants)']],
    ['wkr', ['with kind regards (initials)']],
    ['We came with ki', ['with kind regards (beginning)', 'kind (beginning)']],
    ['hh', ['hen harrier (initials)', 'Hedera helix (initials)']],
    [',', ['Heat pad (cue)', 'Hedgehog admission (cue)']],
    ['Seen. ,ad', ['Hedgehog admission (cue)']],
    ['bramble was', ['Hedgehog admission (beginning)']],
    ['bandage', []],
    ['x', []],
    ['', []],
    ['hed ', []],
  ])('%j', (line, expected) => {
    expect(texts(line)).toEqual(expected);
  });

  test('what this person uses comes first, and a list out of reach offers nothing', () => {
    const used = { ...english, used: usedOf(english.index, new Map([['hedgerow', 4]])) };
    expect(texts('hed', [used, species])[0]).toBe('hedgerow (beginning)');
    expect(texts('hed', [species])).toEqual(['hedgehog (beginning)', 'Hedera helix (beginning)']);
  });

  test('what is replaced begins where the match does', () => {
    expect(offersFor('Ends (with ki', all, 1)[0]).toMatchObject({ from: 6, text: 'with kind regards' });
  });

  test('what stands first by a rule stays first while it still fits, whatever is typed on', () => {
    const vocabulary = fc.uniqueArray(
      fc.string({ unit: fc.constantFrom('a', 'b', 'r'), minLength: 3, maxLength: 8 }),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(vocabulary, vocabulary, fc.nat(), (first, second, pick) => {
        const lists = [
          source(
            'one',
            first.map((text, at) => term(text, at % 4)),
          ),
          source(
            'two',
            second.map((text) => term(text)),
            { priority: 1 },
          ),
        ];
        const words = [...first, ...second];
        const goal = words[pick % Math.max(1, words.length)] ?? 'abr';
        for (let length = 2; length < goal.length - 1; length += 1) {
          const [before] = offersFor(goal.slice(0, length), lists, 9);
          const typed = goal.slice(0, length + 1);
          const [now] = offersFor(typed, lists, 9);
          const still = before?.by === 'beginning' && before.text.startsWith(typed);
          if (still && before.text.length - typed.length >= 2) expect(now?.text).toBe(before.text);
        }
      }),
    );
  });
});

describe('endings', () => {
  const words = new Set(
    'bandages bandaged bandaging hopped hopping hops tries tried trying happily happier quickly boxes boxed owls'.split(
      ' ',
    ),
  );
  test.each([
    ['bandage', ['bandages', 'bandaged', 'bandaging']],
    ['hop', ['hops', 'hopped', 'hopping']],
    ['try', ['tries', 'tried', 'trying']],
    ['happy', ['happier', 'happily']],
    ['box', ['boxes', 'boxed']],
    ['owl', ['owls']],
    ['ox', []],
  ])('%s', (word, expected) => {
    expect(endingsOf(word, (form) => words.has(form))).toEqual(expected);
  });
});

describe('dates in shorthand', () => {
  test.each([
    ['Seen on 4mar', ['4 March 2027', '04/03/2027', '2027-03-04'], 8],
    ['+3', ['28 November 2026', '28/11/2026', '2026-11-28'], 0],
    ['in -1w', ['18 November 2026', '18/11/2026', '2026-11-18'], 3],
    ['4m', ['4 March 2027', '4 May 2027'], 0],
    ['born 4mar57', ['4 March 1957', '04/03/1957', '1957-03-04'], 5],
    ['4mar1957', ['4 March 1957', '04/03/1957', '1957-03-04'], 0],
    ['4ma57', ['4 March 1957', '4 May 1957'], 0],
    ['gave 5ml', [], 0],
    ['gave 5ml20', [], 0],
    ['31feb57', [], 0],
    ['31feb', [], 0],
    ['HH-4m', [], 0],
    ['a+3', [], 0],
  ])('%s', (line, texts, from) => {
    const offers = dateOffers(line, '2026-11-25', 'en-GB');
    expect(offers.map(({ text }) => text)).toEqual(texts);
    for (const offer of offers) expect(offer.from).toBe(from);
  });
});

test.each([
  ['Seen on mar4', ['March 4, 2027', '03/04/2027', '2027-03-04'], 'en-US'],
  ['born mar4,57', ['March 4, 1957', '03/04/1957', '1957-03-04'], 'en-US'],
  ['4mar', ['March 4, 2027', '03/04/2027', '2027-03-04'], 'en-US'],
  ['ma4', [], 'en-US'],
  ['feb31', [], 'en-US'],
  ['room12', [], 'en-US'],
  ['mar4', [], 'en-GB'],
])('the month comes first where the language has it so: %s in %s', (line, texts, language) => {
  expect(dateOffers(line, '2026-11-25', language).map(({ text }) => text)).toEqual(texts);
});

describe('a word list', () => {
  test('comes back as it was written', () => {
    const column = fc.string().map((text) => text.replace(/[\t\r\n]/g, ' ').trim());
    const any = fc.record({
      text: column.filter((text) => text !== '' && !text.startsWith('#')),
      cue: column.map((text) => text.replace(/\s/g, '')),
      weight: fc.nat(1000),
      note: column,
    });
    fc.assert(
      fc.property(fc.uniqueArray(any, { selector: ({ text }) => text, maxLength: 20 }), (terms) => {
        expect(readWordList(writeWordList(terms))).toEqual({ terms, faults: [] });
      }),
    );
  });

  test('lines that cannot be read are told, the others kept', () => {
    const { terms, faults } = readWordList('\uFEFF# Species\r\nowl\r\n\nheron\thr\t-2\nowl\tow\n');
    expect(terms).toEqual([{ ...newTerm('owl'), cue: 'ow' }]);
    expect(faults).toEqual([{ line: 4, message: 'a rank is a whole number from 0 to 1000' }]);
  });
});
