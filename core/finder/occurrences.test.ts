import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { occurrences } from './occurrences';

const LOOSELY = { wholeWords: false, sameCase: false };
const found = (text: string, words: string, as = {}) =>
  occurrences(text, words, { ...LOOSELY, ...as }).map(({ from, to }) => text.slice(from, to));

describe('where words stand in a text', () => {
  test.each<[string, string, string, object, string[]]>([
    ['in any case', 'Weight: the weight', 'weight', {}, ['Weight', 'weight']],
    ['as written', 'Weight: the weight', 'weight', { sameCase: true }, ['weight']],
    ['within longer words', 'overweight, weighty', 'weight', {}, ['weight', 'weight']],
    ['as whole words', 'overweight, weight.', 'weight', { wholeWords: true }, ['weight']],
    [
      'a whole word with letters of other languages',
      'éclair clair',
      'clair',
      { wholeWords: true },
      ['clair'],
    ],
    ['over any white space', 'pen\u00a07 and pen  7', 'pen 7', {}, ['pen\u00a07', 'pen  7']],
    ['with either apostrophe', "it’s, it's", "it's", {}, ['it’s', "it's"]],
    ['signs as themselves', 'a.b a+b (a.b)', '(a.b)', {}, ['(a.b)']],
    ['a backslash and a sign of patterns', 'C:\\d\\d', '\\d', {}, ['\\d', '\\d']],
    ['a letter that small letters make two of', 'İİ x', 'x', {}, ['x']],
    ['nothing for spaces alone', 'a b', ' ', {}, []],
    ['apart', 'aaaa', 'aa', {}, ['aa', 'aa']],
  ])('%s', (_, text, words, as, expected) => expect(found(text, words, as)).toEqual(expected));

  test('whatever is looked for is found where it was put, and nowhere outside the text', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: 'grapheme' }),
        fc.string({ unit: 'grapheme', minLength: 1 }),
        (around, words) => {
          fc.pre(words.trim() !== '');
          const text = `${around} ${words} ${around}`;
          const places = occurrences(text, words, { wholeWords: false, sameCase: true });
          expect(places.length).toBeGreaterThan(0);
          let end = 0;
          for (const { from, to } of places) {
            expect(from).toBeGreaterThanOrEqual(end);
            end = to;
          }
          expect(end).toBeLessThanOrEqual(text.length);
        },
      ),
    );
  });
});
