import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { spokenMarksIn } from './spokenMarks';

/** The line with all its marks written; a new line as a line end. */
function written(text: string, language: string): string {
  return spokenMarksIn(text, language).reduceRight(
    (line, { from, to, put, breaks }) => line.slice(0, from) + (breaks ? '\n' : '') + put + line.slice(to),
    text,
  );
}

test.each([
  ['en', 'we went full stop it was cold', 'we went. It was cold'],
  ['en', 'Bramble comma a hedgehog comma ate', 'Bramble, a hedgehog, ate'],
  ['en', 'was it question mark', 'was it?'],
  ['en', 'two things colon warmth and rest Full Stop', 'two things: warmth and rest.'],
  ['en', 'seen full stop new line next is the swan', 'seen.\nNext is the swan'],
  ['en', 'seen new line next', 'seen\nnext'],
  ['en', 'weight open bracket grams close bracket comma twice', 'weight (grams), twice'],
  ['en', 'a well hyphen kept cage', 'a well-kept cage'],
  ['en', 'he ate dash slowly', 'he ate – slowly'],
  ['en', 'We went, full stop. It was', 'We went. It was'],
  ['en', 'it fired commas', 'it fired commas'],
  ['en', 'full stop', '.'],
  ['en', 'said open quotes no close quotes', 'said “no”'],
  ['cy', 'aeth ef atalnod llawn roedd hi', 'aeth ef. Roedd hi'],
  ['de', 'er kam Punkt neue Zeile dann Komma ja', 'er kam.\nDann, ja'],
  ['fr', 'oui comma non', 'oui, non'],
])('%s: %j is %j', (language, said, expected) => {
  expect(written(said, language)).toBe(expected);
});

test('they stand in order and overlap nowhere, and no other word is lost', () => {
  const word = fc.constantFrom(
    'full',
    'stop',
    'full stop',
    'new line',
    'comma',
    'open bracket',
    'wall',
    'ōn',
    ',',
    '.',
  );
  fc.assert(
    fc.property(fc.array(word, { maxLength: 20 }), (words) => {
      const text = words.join(' ');
      let last = 0;
      for (const { from, to } of spokenMarksIn(text, 'en')) {
        expect(from).toBeGreaterThanOrEqual(last);
        expect(to).toBeGreaterThanOrEqual(from);
        last = to;
      }
      const count = (line: string, one: string) => line.toLowerCase().split(one).length;
      expect(count(written(text, 'en'), 'wall')).toBe(count(text, 'wall'));
      expect(count(written(text, 'en'), 'ōn')).toBe(count(text, 'ōn'));
    }),
  );
});
