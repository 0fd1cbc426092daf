import { expect, test } from '@jest/globals';
import { NEWEST } from './newest';
import { NEWS } from './news';

test('news are numbered down to the first, by their days, and every page knows the number of the newest', () => {
  expect(NEWS.map(({ number }) => number)).toEqual(NEWS.map((_, at) => NEWEST - at));
  expect(NEWS.at(-1)!.number).toBe(1);
  const days = NEWS.map(({ day }) => day);
  expect(days).toEqual([...days].sort().reverse());
});
