import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pagesNamed } from './pagesNamed';

test.each([
  ['1', [0]],
  ['2, 5-7', [1, 4, 5, 6]],
  [' 7 ; 2 – 3 2', [1, 2, 6]],
  ['3,,3', [2]],
  ['All', [0, 1, 2, 3, 4, 5, 6, 7]],
])('%s names pages', (text, pages) => {
  expect(pagesNamed(text, 8)).toEqual({ ok: true, pages });
});

test.each([
  ['', /Say which pages/],
  [' , ', /Say which pages/],
  ['0', /no page 0: the pages are 1 to 8/],
  ['9', /no page 9/],
  ['5-3', /no page 5-3/],
  ['2-9', /no page 2-9/],
  ['two', /"two" is no page/],
  ['1.5', /"1.5" is no page/],
  ['-3', /"-3" is no page/],
])('%p names none, and why is said', (text, why) => {
  const named = pagesNamed(text, 8);
  expect(named).toEqual({ ok: false, why: expect.stringMatching(why) });
});

test('whatever pages are written down, in whatever order, those are read', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1 }), (numbers) => {
      const pages = [...new Set(numbers)].map((one) => one - 1).sort((a, b) => a - b);
      expect(pagesNamed(numbers.join(', '), 40)).toEqual({ ok: true, pages });
    }),
  );
});
