import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readTime, TIME_FORMS, writtenTime } from '.';

test.each([
  [753_400, 'clock', 25, '00:12:33'],
  [753_400, 'brackets', 25, '[00:12:33]'],
  [753_449, 'seconds', 25, '753.4 s'],
  [753_400, 'frames', 25, '00:12:33:10'],
  [999, 'frames', 25, '00:00:00:24'],
  [0, 'seconds', 25, '0.0 s'],
] as const)('%d as %s at %d is %s', (at, form, rate, written) => {
  expect(writtenTime(at, { form, rate })).toBe(written);
});

test.each([
  ['00:12:33', 753_000],
  ['[12:33.5]', 753_500],
  ['(1:02:03,250)', 3_723_250],
  ['12.5 s', 12_500],
  ['00:00:01:05', 1200],
  ['12:60', null],
  ['1:75:00', null],
  ['noon', null],
  ['', null],
])('%s is read as %s', (text, at) => {
  expect(readTime(text)).toBe(at);
});

test('what is written is read back to the unit it is written in', () => {
  const unit = { clock: 1000, brackets: 1000, seconds: 100, frames: 40 };
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 359_999_000 }), fc.constantFrom(...TIME_FORMS), (at, form) => {
      const read = readTime(writtenTime(at, { form, rate: 25 }))!;
      expect(Math.abs(read - at)).toBeLessThanOrEqual(unit[form]);
    }),
  );
});
