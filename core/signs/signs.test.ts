import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Sign } from '#core/entry';
import { wordsOfBlock, type Submission, type SubmissionBlock } from '#core/submission';
import { MOST_PLACES, SignFinder, type EntrySigns } from '.';

const submission = (...lines: (string | Partial<SubmissionBlock>)[]): Submission => ({
  version: 1,
  comments: [],
  blocks: lines.map((line) => ({
    kind: 'paragraph',
    spans: [],
    ...(typeof line === 'string' ? { spans: [{ text: line }] } : line),
  })),
});

/** The words at each place that is found. */
function found(signs: readonly Sign[], of: Submission, language = 'en-GB', avoided: readonly string[] = []) {
  const places = new SignFinder([{ entry: 'e', signs }], language, avoided).in(of);
  return places.map(({ on: { from, to } }) => wordsOfBlock(of.blocks[from.block]!).slice(from.at, to.at));
}

const in1 = (sign: Sign, line: string, language = 'en-GB') => found([sign], submission(line), language);

describe('words and patterns', () => {
  test.each<[Sign, string, string, string[]]>([
    [{ kind: 'words', words: ['very'] }, 'en-GB', 'Very wet, very cold; every day.', ['Very', 'very']],
    [
      { kind: 'words', words: ['prove'] },
      'en',
      'It proves it. We proved it by proving.',
      ['proves', 'proved', 'proving'],
    ],
    [{ kind: 'words', words: ['a lot', 'a lot of'] }, 'en-GB', 'A lot of birds.', ['A lot of']],
    [{ kind: 'words', words: ['sehr'] }, 'de', 'Sehr nass, unversehrt.', ['Sehr']],
    // Other languages have no forms made for them here.
    [{ kind: 'words', words: ['Vogel'] }, 'de', 'Vogels Vogel.', ['Vogel']],
    [
      { kind: 'pattern', pattern: '\\bI (think|feel)\\b' },
      'en',
      'i think so; I feel it. Hi think',
      ['i think', 'I feel'],
    ],
    [{ kind: 'pattern', pattern: '(' }, 'en', 'x(', []],
    [{ kind: 'pattern', pattern: 'x*' }, 'en', 'a xx b', ['xx']],
  ])('%j in %s: %s', (sign, language, line, expected) => {
    expect(in1(sign, line, language)).toEqual(expected);
  });

  test('words the house avoids, for an entry that looks for them', () => {
    const sign: Sign = { kind: 'avoided-term' };
    expect(found([sign], submission('The hogs fed.'), 'en-GB', ['hog'])).toEqual(['hogs']);
    expect(found([sign], submission('The hogs fed.'))).toEqual([]);
  });

  test('what somebody deleted, and marked so, is not looked at', () => {
    const spans = [{ text: 'A ' }, { text: 'very ', marks: ['deleted' as const] }, { text: 'wet day.' }];
    expect(found([{ kind: 'words', words: ['very'] }], submission({ spans }))).toEqual([]);
  });
});

describe('a word said twice, and spaces', () => {
  test.each([
    ['It was was cold.', 'en', ['was was']],
    ['The THE end', 'en', ['The THE']],
    ['He had had enough; that that is.', 'en', []],
    ['the theory; on one', 'en', []],
    ['bye, bye', 'en', []],
    ['Tiere, die die Wiese meiden', 'de', []],
    ['und und', 'de', ['und und']],
  ])('%s', (line, language, expected) =>
    expect(in1({ kind: 'repeated-word' }, line, language)).toEqual(expected),
  );

  test.each([
    ['One.  Two', ['  ']],
    ['  At the ends  ', []],
    ['a b', []],
  ])('spaces in %j', (line, expected) => expect(in1({ kind: 'doubled-space' }, line)).toEqual(expected));
});

describe('a quotation without a source', () => {
  const LONG = 'the tide decides the day';
  test.each([
    [`He wrote “${LONG}”.`, [`“${LONG}”`]],
    [`He wrote “${LONG}” (Hale 2019).`, []],
    [`He wrote “${LONG}” (p. 12).`, []],
    [`He wrote “${LONG}.” [4]`, []],
    [`He wrote “${LONG}”¹.`, []],
    [`He wrote “${LONG}”\uFFFC.`, []],
    [`Hale (2019) wrote that “${LONG}”.`, []],
    [`Hale (2019: 4) wrote that “${LONG}”.`, []],
    [`Hale wrote it (2019). But “${LONG}”.`, [`“${LONG}”`]],
    ['The so-called “quiet zone” was loud.', []],
    [`He wrote "${LONG}".`, [`"${LONG}"`]],
    [`He wrote ‘${LONG}’, and it’s so.`, [`‘${LONG}’`]],
    ['It’s the wardens’ day; it isn’t ours.', []],
    [`Er schrieb: „${LONG}“.`, [`„${LONG}“`]],
    [`Er schrieb: »${LONG}« (Hale 2019, S. 4).`, []],
    [`Elle écrit « ${LONG} ».`, [`« ${LONG} »`]],
    [`“He said ‘${LONG}’ to us” (Hale 2019).`, []],
  ])('%s', (line, expected) => expect(in1({ kind: 'quotation-without-source' }, line)).toEqual(expected));
});

describe('a number without a unit', () => {
  test.each([
    ['The water was 14.', 'en', ['14']],
    ['It was 14.5 when we came.', 'en', ['14.5']],
    ['It was 14 and windy.', 'en', ['14']],
    ['It rose to 14, then fell.', 'en', ['14']],
    ['We saw 14 birds and 3 eggs.', 'en', []],
    ['Between 3 and 5 birds, 3–5 m, 3 to 5 kg.', 'en', []],
    ['Between 3 and 5. Each was 0.5 by 0.5 and flat.', 'en', ['5', '0.5']],
    ['It was 14 °C, 14°C, 14 %, 14% or £14.', 'en', []],
    ['In 2019. Since 1998, then.', 'en', []],
    ['On 12 November, at 10:30. On November 12.', 'en', []],
    ['See Table 3. See fig. 2, and p. 4.', 'en', []],
    ['As Hale says [3]. Code A-14. Grid 3/4.', 'en', []],
    ['14 of the birds', 'en', []],
    ['Das Wasser war 14.', 'de', ['14']],
    ['Es war 14 und windig. Tabelle 3. 14 Vögel.', 'de', ['14']],
    ['Zwischen 3 und 5 Vögeln.', 'de', []],
    ['Roedd y dŵr yn 14 ond yn glir. Tabl 3. 14 aderyn.', 'cy', ['14']],
  ])('%s', (line, language, expected) =>
    expect(in1({ kind: 'number-without-unit' }, line, language)).toEqual(expected),
  );

  test('in tables and headings a number stands for itself', () => {
    const cell = { table: 0, row: 0, column: 0 };
    const sign: Sign = { kind: 'number-without-unit' };
    expect(found([sign], submission({ spans: [{ text: '14' }], cell }))).toEqual([]);
    expect(found([sign], submission({ spans: [{ text: 'Part 14' }], kind: 'heading' }))).toEqual([]);
  });
});

describe('length', () => {
  const sentence = (words: number) =>
    `${Array.from({ length: words }, () => 'word')
      .join(' ')
      .replace('w', 'W')}.`;
  test('a paragraph of more words than asked for is told at its first sentence, and no shorter one', () => {
    const sign: Sign = { kind: 'long-paragraph', most: 10 };
    expect(in1(sign, `${sentence(6)} ${sentence(5)}`)).toEqual([sentence(6)]);
    expect(in1(sign, `${sentence(5)} ${sentence(5)}`)).toEqual([]);
  });
  test('a sentence of more words than asked for', () => {
    const sign: Sign = { kind: 'long-sentence', most: 5 };
    expect(in1(sign, `${sentence(5)} ${sentence(6)}`)).toEqual([sentence(6)]);
    expect(in1({ kind: 'long-sentence', most: 2 }, 'A b c.')).toEqual(['A b c.']);
  });
});

describe('whatever is looked for', () => {
  const anyLine = fc
    .array(
      fc.constantFrom(
        'very',
        'Very',
        'wet',
        '14',
        '14.',
        '“a',
        'b”',
        '(2019)',
        'wet wet',
        '  ',
        'İ',
        '\uFFFC',
      ),
    )
    .map((pieces) => pieces.join(' '));
  const all: Sign[] = [
    { kind: 'words', words: ['very', 'wet'] },
    { kind: 'pattern', pattern: 'w\\w+' },
    { kind: 'long-sentence', most: 3 },
    { kind: 'long-paragraph', most: 4 },
    { kind: 'repeated-word' },
    { kind: 'doubled-space' },
    { kind: 'quotation-without-source' },
    { kind: 'number-without-unit' },
  ];

  test('each place lies within its line and holds something; those of one entry stand in order and apart', () => {
    fc.assert(
      fc.property(fc.array(anyLine, { maxLength: 4 }), fc.subarray(all), (lines, signs) => {
        const of = submission(...lines.filter((line) => line !== ''));
        const finder = new SignFinder(
          [
            { entry: 'a', signs },
            { entry: 'b', signs: all },
          ],
          'en-GB',
          [],
        );
        const ends = new Map<string, [number, number]>();
        for (const { entry, on } of finder.in(of)) {
          const words = wordsOfBlock(of.blocks[on.from.block]!);
          expect(on.to.at).toBeGreaterThan(on.from.at);
          expect(on.to.at).toBeLessThanOrEqual(words.length);
          const [block, end] = ends.get(entry) ?? [0, 0];
          expect(on.from.block > block || on.from.at >= end).toBe(true);
          ends.set(entry, [on.to.block, on.to.at]);
        }
      }),
    );
  });

  test('of one entry no more places are told than anybody would walk', () => {
    const words: EntrySigns = { entry: 'e', signs: [{ kind: 'words', words: ['wet'] }] };
    const of = submission(Array.from({ length: MOST_PLACES * 2 }, () => 'wet').join(', '));
    expect(new SignFinder([words], 'en', []).in(of)).toHaveLength(MOST_PLACES);
  });
});
