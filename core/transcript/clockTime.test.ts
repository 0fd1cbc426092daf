import { expect, test } from '@jest/globals';
import { clockTime } from './clockTime';

test.each([
  [0, '00:00:00'],
  [59.99, '00:00:59'],
  [753.4, '00:12:33'],
  [3600, '01:00:00'],
  [360_000, '100:00:00'],
  [-3, '00:00:00'],
])('%d seconds are %s', (seconds, said) => {
  expect(clockTime(seconds)).toBe(said);
});
