import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Answers } from '#core/draft';
import { FieldSchema, newEntry, type EntryContent, type NamedCondition } from '#core/entry';
import { plainText, type Inline, type Mark } from '#core/passage';
import { emptyRecord } from '#core/record';
import { fillWording, finishedPassage, place, refillPassage } from '.';

/** A piece of a sentence: words of the author, a blank that may be left out, or words that come and go with one. */
type Piece = { words: string } | { blank: number } | { when: number; words: string };

const blank = (field: number, marks?: Mark[]): Inline => ({
  type: 'blank',
  attrs: { field: `f${field}`, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
  ...(marks && { marks }),
});

function inlineOf(piece: Piece): Inline {
  if ('blank' in piece) return blank(piece.blank);
  if (!('when' in piece)) return { type: 'text', text: piece.words };
  const marks: Mark[] = [{ type: 'when', attrs: { condition: `c${piece.when}`, placement: null } }];
  return { type: 'text', text: piece.words, marks };
}

const FIELDS = 6;
function entryOf(pieces: readonly Piece[]): EntryContent {
  const content = pieces.map(inlineOf).reduce<Inline[]>((line, one) => {
    const last = line.at(-1);
    if (one.type === 'text' && last?.type === 'text' && !one.marks && !last.marks)
      return [...line.slice(0, -1), { ...last, text: last.text + one.text }];
    return [...line, one];
  }, []);
  const fields = Array.from({ length: FIELDS }, (_, at) =>
    FieldSchema.parse({ id: `f${at}`, name: `F${at}`, kind: 'text', required: false }),
  );
  const conditions = fields.map(({ id }, at): NamedCondition => ({
    id: `c${at}`,
    when: { test: 'answered', field: id },
  }));
  return {
    ...newEntry('x', 'en-GB', { type: 'doc', content: [{ type: 'paragraph', content }] }),
    fields,
    conditions,
  };
}

const setting = { record: emptyRecord(), today: '2026-11-26' };
const request = (content: EntryContent, answers: Answers) => ({
  ...setting,
  entry: { id: 'e', revision: 1, content },
  answers,
});
const answersOf = (given: Readonly<Record<number, string>>): Answers =>
  Object.fromEntries(Object.entries(given).map(([at, words]) => [`f${at}`, { kind: 'text', text: words }]));

/** How it reads with these answers: filled at once, and placed and finished, which must be the same. */
function reads(pieces: readonly Piece[], given: Readonly<Record<number, string>>): string {
  const content = entryOf(pieces);
  const answers = answersOf(given);
  const filled = plainText(fillWording(request(content, answers)));
  const { passage } = place({ ...request(content, answers), id: 'p', cue: null });
  expect(plainText(finishedPassage(passage))).toBe(filled);
  return filled;
}

const w = (words: string): Piece => ({ words });
const b = (at: number): Piece => ({ blank: at });

describe('what is left out takes along what belongs to it', () => {
  test.each<[string, Piece[], Record<number, string>, string]>([
    ['a doubled comma', [w('It ate, '), b(0), w(', and slept.')], {}, 'It ate, and slept.'],
    [
      'a comma before a full stop',
      [w('It ate, '), b(0), w('. Then it slept.')],
      {},
      'It ate. Then it slept.',
    ],
    ['brackets', [w('It ate ('), b(0), w(') and slept.')], {}, 'It ate and slept.'],
    ['brackets with a space', [w('It ate ( '), b(0), w(' ), then slept.')], {}, 'It ate, then slept.'],
    ['brackets around two', [w('It ate ('), b(0), w(' '), b(1), w(').')], {}, 'It ate.'],
    [
      'one of two in brackets',
      [w('It ate ('), b(0), w(' '), b(1), w(').')],
      { 1: 'slowly' },
      'It ate (slowly).',
    ],
    ['a list of three', [w('Ticks, '), b(0), w(', '), b(1), w('; all removed.')], {}, 'Ticks; all removed.'],
    ['the beginning', [b(0), w(', the bird ate.')], {}, 'The bird ate.'],
    ['a beginning in mid-line', [w('All well. '), b(0), w(', the bird ate.')], {}, 'All well. The bird ate.'],
    ['a whole sentence', [w('All well. '), b(0), w('. Thank you.')], {}, 'All well. Thank you.'],
    ['everything', [b(0), w('.')], {}, ''],
    ['a folded beginning', [{ when: 0, words: 'Also ' }, w('the bird ate.')], {}, 'The bird ate.'],
    ['nothing of an ellipsis', [w('And so '), b(0), w('...')], {}, 'And so...'],
    ['nothing of a number', [w('About '), b(0), w(' .5 g.')], {}, 'About .5 g.'],
  ])('%s', (_, pieces, given, wanted) => {
    expect(reads(pieces, given)).toBe(wanted);
  });

  test.each([
    ['really?', 'She asked: really? Then she left.'],
    ['no way!', 'She asked: no way! Then she left.'],
    ['well', 'She asked: well. Then she left.'],
    ['so it is.', 'She asked: so it is. Then she left.'],
    ['and so …', 'She asked: and so … Then she left.'],
    ['“really?”', 'She asked: “really?” Then she left.'],
  ])('an answer that ends its sentence has no second end: %s', (answer, wanted) => {
    expect(reads([w('She asked: '), b(0), w('. Then she left.')], { 0: answer })).toBe(wanted);
  });

  test.each([
    'https://hollin.example/seal',
    'www.hollin.example',
    'desk@hollin.example',
    'mailto:desk@hollin.example',
  ])('an address that opens a sentence stays as it is: %s', (address) => {
    expect(reads([w('Look. '), b(0), w(' tells more.')], { 0: address })).toBe(
      `Look. ${address} tells more.`,
    );
  });
});

/** Sentences as people write them, with optional parts anywhere: no mark is doubled in them, and no bracket is empty. */
const word = fc.constantFrom('seal', 'fed', 'well', 'at dusk', 'Keel', 'two ml');
const optional = fc.nat({ max: FIELDS - 1 }).map((at): Piece[] => [b(at)]);
const item = fc.oneof(
  { weight: 3, arbitrary: word.map((words): Piece[] => [w(words)]) },
  { weight: 3, arbitrary: optional },
  { weight: 1, arbitrary: optional.map((some): Piece[] => [w('('), ...some, w(')')]) },
  {
    weight: 1,
    arbitrary: fc
      .tuple(fc.nat({ max: FIELDS - 1 }), word)
      .map(([at, words]): Piece[] => [{ when: at, words }]),
  },
);
const sentence = fc
  .tuple(
    item,
    fc.array(fc.tuple(fc.constantFrom(' ', ', ', '; ', ': '), item), { maxLength: 5 }),
    fc.constantFrom('.', '!', '?'),
  )
  .map(([first, others, end]): Piece[] => [
    ...first,
    ...others.flatMap(([between, some]): Piece[] => [w(between), ...some]),
    w(end),
  ]);
const text = fc
  .array(sentence, { minLength: 1, maxLength: 3 })
  .map((all) => all.flatMap((one, at) => (at === 0 ? one : [w(' '), ...one])));

const ODD: Record<string, RegExp> = {
  'a doubled mark': /[,;:]\s*[,;:.!?]|[.!?]\s*[.,;:!?]/,
  'an empty bracket': /\(\s*\)/,
  'a space before a mark': /\s[,.;:!?)]|\(\s/,
  'a doubled space': / {2}|^ | $/,
  'a mark at the start': /^[,;:.!?]/,
};

test('whatever is left out of whatever sentences: no doubled mark, empty bracket, stray space; each begins with a capital', () => {
  fc.assert(
    fc.property(text, fc.uniqueArray(fc.nat({ max: FIELDS - 1 })), (pieces, given) => {
      const answers = Object.fromEntries(given.map((at) => [at, 'some words']));
      const all = Object.fromEntries(Array.from({ length: FIELDS }, (_, at) => [at, 'some words']));
      const read = reads(pieces, answers);
      const whole = reads(pieces, all);
      for (const [what, pattern] of Object.entries(ODD))
        if (!pattern.test(whole)) expect([what, pattern.test(read) ? read : '']).toEqual([what, '']);
      // A word of the author's that began a sentence small in the whole is small by their will.
      const small = (words: string) =>
        [...words.matchAll(/(?:^|[.!?] )(\p{Ll}[^\s.,;:!?)]*)/gu)].map((match) => match[1]);
      const written = new Set(small(whole));
      expect(small(read).filter((one) => !written.has(one))).toEqual([]);
    }),
    { numRuns: 1500 },
  );
});

test('given back its answers, a text is what it was: nothing taken along is lost, in whatever order', () => {
  fc.assert(
    fc.property(
      text,
      fc.array(fc.uniqueArray(fc.nat({ max: FIELDS - 1 })), { maxLength: 4 }),
      (pieces, turns) => {
        const content = entryOf(pieces);
        const { passage, placement } = place({ ...request(content, {}), id: 'p', cue: null });
        let now = passage;
        for (const given of [...turns, []]) {
          const answers = answersOf(Object.fromEntries(given.map((at) => [at, 'some words'])));
          now = refillPassage(now, { p: { ...placement, answers } });
          const fresh = place({ ...request(content, answers), id: 'p', cue: null }).passage;
          expect(plainText(finishedPassage(now))).toBe(plainText(finishedPassage(fresh)));
        }
      },
    ),
    { numRuns: 500 },
  );
});
