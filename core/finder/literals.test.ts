import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Literals } from './literals';

/** Each literal at each place, with what stands on either side looked at: the slow way. */
function naive(literals: readonly string[], text: string, joining: string): string[] {
  const beside = (char: string | undefined) =>
    char !== undefined && (/[\p{L}\p{N}]/u.test(char) || joining.includes(char));
  return [...new Set(literals)]
    .filter((literal) => /[\p{L}\p{N}]/u.test(literal))
    .flatMap((literal) =>
      Array.from({ length: text.length }, (_, from) => from)
        .filter((from) => text.startsWith(literal, from))
        .filter((from) => !beside(text[from - 1]) && !beside(text[from + literal.length]))
        .map((from) => `${from} ${literal}`),
    )
    .sort();
}

const words = fc.string({ unit: fc.constantFrom('a', 'B', 'é', '1', ' ', '-', "'", '.', '('), maxLength: 6 });

test('fixed texts are found where looking for each at every place finds them', () => {
  fc.assert(
    fc.property(
      fc.array(words, { maxLength: 8 }),
      fc.string({ unit: fc.constantFrom('a', 'B', 'é', '1', ' ', '-', "'", '.', '('), maxLength: 40 }),
      fc.constantFrom('', '-'),
      (literals, text, joining) => {
        const found = new Literals(literals)
          .in(text, joining)
          .map(({ from, literal }) => `${from} ${literal}`);
        expect(found.sort()).toEqual(naive(literals, text, joining));
      },
    ),
    { numRuns: 2000 },
  );
});
