import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { nextSpeakers } from '.';

test.each([
  ['', 'mab', 'mab'],
  ['m', 'mab', 'abm'],
  // Two who alternate.
  ['mama', 'mab', 'mba'],
  // The moderator between any two; the pattern of the last two decides.
  ['mambmam', 'mab', 'bam'],
  ['mambma', 'mab', 'mba'],
  // Whoever is not in the cast any more is not proposed.
  ['xaxax', 'am', 'am'],
])('after %s of %s comes %s', (spoken, cast, next) => {
  expect(nextSpeakers([...spoken], [...cast]).join('')).toBe(next);
});

test('all of the cast are proposed once, and whoever spoke last comes last', () => {
  const ids = ['a', 'b', 'c', 'd', 'e'];
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...ids), { minLength: 1 }), (spoken) => {
      const next = nextSpeakers(spoken, ids);
      expect([...next].sort()).toEqual(ids);
      expect(next.at(-1)).toBe(spoken.at(-1));
    }),
  );
});
