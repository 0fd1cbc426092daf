import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkEntry } from '#core/entry';
import { plainText } from '#core/passage';
import { plainWord, searchWords } from '#core/finder';
import { finished } from '#core/testing';
import { Banked, byHand, entryOfPhrase, repeatedPhrases, worthBanking, type Text } from './index';
import { wordStream } from './wordStream';

const run = (texts: Text<string>[], least: number) =>
  finished(repeatedPhrases(texts, { least, inAtLeast: 2, most: Infinity }));
const told = (texts: Text<string>[], least: number) =>
  run(texts, least)
    .map(({ words, owners, places }) => {
      const { text, from, to } = places[0]!;
      const phrase = texts[text]!.text.slice(from, to).toLowerCase();
      expect(phrase.split(' ')).toHaveLength(words);
      return `${phrase}: ${owners} owners, at ${places.map((one) => `${one.text}/${one.from}`).join(' ')}`;
    })
    .sort();

/** Every phrase there is, kept if a word more on either side is found in fewer places. */
function naive(texts: Text<string>[], least: number): string[] {
  const found = new Map<
    string,
    { owners: Set<string>; at: string[]; before: Set<string>; after: Set<string> }
  >();
  texts.forEach(({ owner, text }, number) => {
    const words = text.toLowerCase().split(' ').filter(Boolean);
    const starts = words.map((_, at) => words.slice(0, at).join(' ').length + (at > 0 ? 1 : 0));
    for (let from = 0; from < words.length; from += 1)
      for (let to = from + least; to <= words.length; to += 1) {
        const phrase = words.slice(from, to).join(' ');
        const one = found.get(phrase) ?? { owners: new Set(), at: [], before: new Set(), after: new Set() };
        one.owners.add(owner);
        one.at.push(`${number}/${starts[from]}`);
        one.before.add(words[from - 1] ?? `none ${number}`);
        one.after.add(words[to] ?? `none ${number}`);
        found.set(phrase, one);
      }
  });
  return [...found]
    .filter(([, { owners, before, after }]) => owners.size > 1 && before.size > 1 && after.size > 1)
    .map(([phrase, { owners, at }]) => `${phrase}: ${owners.size} owners, at ${at.join(' ')}`)
    .sort();
}

describe('phrases typed again and again', () => {
  test('exactly the maximal ones that a naive count finds', () => {
    const word = fc.constantFrom('a', 'b', 'c', 'd');
    const piece = fc.array(word, { maxLength: 25 }).map((words) => words.join(' '));
    const text = fc.record({ owner: fc.constantFrom('x', 'y', 'z'), text: piece });
    fc.assert(
      fc.property(fc.array(text, { maxLength: 8 }), fc.integer({ min: 2, max: 5 }), (texts, least) => {
        expect(told(texts, least)).toEqual(naive(texts, least));
      }),
      { numRuns: 2000 },
    );
  });

  test('words are read as the finder reads them, in any script', () => {
    const letter = fc.constantFrom(
      'a',
      'B',
      'é',
      'É',
      'e\u0301',
      'ß',
      'Ж',
      'ж',
      '𝒜',
      '語',
      '7',
      '٣',
      ' ',
      '-',
      '’',
      '\n',
      '🦔',
    );
    const text = fc.array(letter, { maxLength: 30 }).map((letters) => letters.join(''));
    fc.assert(
      fc.property(fc.array(text, { maxLength: 5 }), (texts) => {
        const stream = wordStream(texts.map((one) => ({ owner: 0, text: one })));
        const { words, texts: of, from, to } = finished(stream);
        const numbers = new Map<string, number>();
        const expected = texts.flatMap((one) => [
          ...searchWords(one).map((word) => {
            const plain = /\p{N}/u.test(word) ? '#' : plainWord(word);
            if (!numbers.has(plain)) numbers.set(plain, numbers.size);
            return [word, numbers.get(plain)];
          }),
          ['', -1],
        ]);
        const got = Array.from(words, (number, at) => [
          number === -1 ? '' : texts[of[at]!]!.slice(from[at], to[at]),
          number,
        ]);
        expect(got).toEqual(expected);
      }),
    );
  });

  test('no row for a piece of a phrase, unless that stands in more places; numbers, case and accents do not part them', () => {
    const texts = [
      { owner: 'a', text: 'Today: the wound was cleaned with warm saline, 20 ml. All well.' },
      { owner: 'b', text: 'The wound was cleaned with WARM saline (35 ml); a café called.' },
      { owner: 'c', text: 'Seen late. The wound was cleaned with gauze' },
    ];
    const phrases = run(texts, 5).map(({ owners, places }) => {
      const { text, from, to } = places[0]!;
      return [texts[text]!.text.slice(from, to), owners];
    });
    expect(phrases).toEqual([
      ['the wound was cleaned with warm saline, 20 ml', 2],
      ['the wound was cleaned with', 3],
    ]);
  });

  test('near wordings are one with their differing words open; what lies within a better phrase, or is ignored, is not told', () => {
    const wound = (side: string, grams: number) =>
      `The wound on the ${side} wing was cleaned with warm saline and she weighed ${grams} g. `;
    const texts = ['left', 'left', 'right', 'right'].map((side, at) => ({
      owner: at,
      text: `${wound(side, 500 + at)}${['Slept', 'Ate', 'Drank', 'Rested'][at]} well ${'abcd'[at]}.`,
    }));
    const found = finished(repeatedPhrases(texts, { least: 5, inAtLeast: 2, most: 100 }));
    const [best, ...others] = finished(worthBanking(texts, found));
    expect(others).toEqual([]);
    expect(best).toMatchObject({
      times: 4,
      pieces: [
        { text: 'The wound on the ' },
        { differs: ['left', 'right'] },
        { text: ' wing was cleaned with warm saline and she weighed ' },
        { differs: ['500', '501', '502', '503'] },
        { text: ' g' },
      ],
    });
    const entry = entryOfPhrase(best!, 'en-GB');
    expect(checkEntry(entry)).toEqual([]);
    expect(entry.fields.map(({ kind }) => kind)).toEqual(['choice', 'number']);
    expect(plainText(entry.wordings[0]!.parts[0]!.passage)).toContain(
      ' wing was cleaned with warm saline and she weighed ',
    );
    const banked = new Banked([best!]);
    banked.read('The wound on her foot was cleaned.');
    expect(banked.missing()).toEqual([best]);
    banked.read('The wound on the \uFFFC wing was cleaned with warm saline and she weighed \uFFFC.');
    expect(banked.missing()).toEqual([]);
    expect(finished(worthBanking(texts, found, new Set([best!.key])))).toEqual([]);
  });

  test('a word that differs every time is open too, where the words beyond it are the same again', () => {
    const texts = ['left', 'right', 'lower'].map((side, owner) => ({
      owner,
      text: `${'abc'[owner]} came. She hurt her ${side} wing on a wire fence and bled ${'xyz'[owner]}.`,
    }));
    const found = finished(repeatedPhrases(texts, { least: 5, inAtLeast: 2, most: 100 }));
    expect(finished(worthBanking(texts, found)).map(({ pieces }) => pieces)).toEqual([
      [
        { text: 'came. She hurt her ' },
        { differs: ['left', 'right', 'lower'] },
        { text: ' wing on a wire fence and bled' },
      ],
    ]);
  });

  test('rows of one and the same words, however long, are passed over; a long phrase has a short key', () => {
    const bank = (text: string) => {
      const texts = ['a', 'b'].map((owner) => ({ owner, text: `${owner} began. ${text}` }));
      const found = finished(repeatedPhrases(texts, { least: 5, inAtLeast: 2, most: 2000 }));
      return finished(worthBanking(texts, found));
    };
    for (const row of ['0 '.repeat(3000), 'a b '.repeat(2000), 'one two three four five six '.repeat(500)])
      expect(bank(row).filter(({ pieces }) => pieces.length > 1)).toEqual([]);
    const long = Array.from(
      { length: 4000 },
      (_, at) => `w${String.fromCharCode(97 + (at % 26))}${'x'.repeat(at % 7)}${at % 11 ? 'y' : 'z'}`,
    );
    for (const { key } of bank(long.join(' '))) expect(key.length).toBeLessThanOrEqual(420);
    expect(bank('The swan was fed and slept well.')).toHaveLength(1);
  });

  test('of a draft only what was written by hand counts', () => {
    const text = (words: string, placement?: string) => ({
      type: 'text' as const,
      text: words,
      ...(placement && { marks: [{ type: 'placed' as const, attrs: { placement } }] }),
    });
    const line = [text('Seen '), text('by '), text('from the bank', 'p'), text(' and left.')];
    const content = [{ type: 'paragraph' as const, content: line }];
    expect(byHand({ type: 'doc', attrs: { placements: {} }, content })).toEqual(['Seen by ', ' and left.']);
  });

  test('words that go on and on, and texts without any, come to an end', () => {
    const endless = 'ha '.repeat(20_000);
    expect(run([{ owner: 'a', text: endless }], 5)).toEqual([]);
    const twice = run(
      [
        { owner: 'a', text: endless },
        { owner: 'b', text: 'ha '.repeat(40) },
        { owner: 'c', text: '' },
      ],
      5,
    );
    expect(twice.map(({ words }) => words)[0]).toBe(40);
  });
});
