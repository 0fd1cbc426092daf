import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { afterLeadIn } from './leadIn';

test.each<[string, string[], string | null]>([
  ['Hello ,hn', [',', ';'], 'hn'],
  [',hand weigh', [','], 'hand weigh'],
  ['(;so', [';'], 'so'],
  // Prose: a comma belongs to the word before it, or has a space behind it.
  ['Well, then', [','], null],
  ['Well,then', [','], null],
  ['a , then', [','], null],
  ['nothing of it', [','], null],
  // Said on, it is a sentence by then.
  [',one two three four', [','], null],
  [`,${'a'.repeat(41)}`, [','], null],
  // The longest lead-in wins, and the last of two.
  ['//to', ['/', '//'], 'to'],
  [',a ,b', [','], 'b'],
  [',', [','], null],
  ['word', [''], null],
])('behind a lead-in of %j', (line, leadIns, wanted) => {
  expect(afterLeadIn(line, leadIns)?.words ?? null).toBe(wanted);
});

test('what is looked at is the end of the line, right behind a lead-in', () => {
  fc.assert(
    fc.property(fc.string({ unit: fc.constantFrom('a', ' ', ',', '/', '(') }), (line) => {
      const found = afterLeadIn(line, [',', '//']);
      if (!found) return;
      expect(line.slice(found.from)).toBe(found.leadIn + found.words);
      expect(found.words).not.toMatch(/^\s|^$/);
    }),
  );
});
