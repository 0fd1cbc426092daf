import { afterEach, expect, test } from '@jest/globals';
import { locksHere } from '../testing/locksHere';
import { inTurn } from '.';

afterEach(() => void Reflect.deleteProperty(globalThis, 'navigator'));

/** Two that read a number, wait, and write it one higher. */
async function countedTwice(nameOfOther = 'count'): Promise<number> {
  let count = 0;
  const add = async () => {
    const read = count;
    await new Promise((go) => setTimeout(go));
    count = read + 1;
  };
  await Promise.all([inTurn('count', add), inTurn(nameOfOther, add)]);
  return count;
}

test('of two that read and write the second waits for the first; under another name it does not', async () => {
  locksHere();
  expect(await countedTwice()).toBe(2);
  expect(await countedTwice('other')).toBe(1);
});

test('what fails lets the next have its turn, and what gives nothing is done once', async () => {
  const held = locksHere();
  let done = 0;
  const fails = inTurn('count', () => Promise.reject(new Error('no')));
  const next = inTurn('count', () => Promise.resolve(void (done += 1)));
  await expect(fails).rejects.toThrow('no');
  expect(await next).toBeUndefined();
  expect([done, held()]).toEqual([1, []]);
});

test('where the browser has no locks it is done at once', async () => {
  expect(await countedTwice()).toBe(1);
});
