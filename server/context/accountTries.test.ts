import { expect, test } from '@jest/globals';
import { AccountTries } from './accountTries';

test('each wrong password after the fifth doubles the wait, up to eight seconds; another account waits for nothing', () => {
  let now = 0;
  const tries = new AccountTries(() => now);
  const waits = Array.from({ length: 13 }, () => {
    const wait = tries.slowedBy('imke@hollin.example');
    tries.failed('imke@hollin.example');
    return wait;
  });
  expect(waits).toEqual([0, 0, 0, 0, 0, 250, 500, 1000, 2000, 4000, 8000, 8000, 8000]);
  expect(tries.slowedBy('desta@hollin.example')).toBe(0);
  now += 15 * 60_000;
  expect(tries.slowedBy('imke@hollin.example')).toBe(0);
});

test('the right password ends the waiting; of ten thousand accounts guessed at, the first is forgotten', () => {
  const tries = new AccountTries(() => 0);
  for (let at = 0; at < 6; at += 1) tries.failed('imke@hollin.example');
  expect(tries.slowedBy('imke@hollin.example')).toBe(500);
  tries.succeeded('imke@hollin.example');
  expect(tries.slowedBy('imke@hollin.example')).toBe(0);
  for (let at = 0; at < 6; at += 1) tries.failed('first@hollin.example');
  for (let at = 0; at < 10_000; at += 1) tries.failed(`guess${at}@hollin.example`);
  expect(tries.slowedBy('first@hollin.example')).toBe(0);
});
