import { expect, test } from '@jest/globals';
import { inTellingTurns, inTurns } from './inTurns';

test('work in steps lets others have their turn, and comes to what it comes to', async () => {
  let others = 0;
  let isOver = false;
  const other = () => {
    others += 1;
    if (!isOver) setImmediate(other);
  };
  setImmediate(other);
  function* long() {
    // As long as it takes until another has had its turn: at once, if nobody ever had one, it would never end.
    for (let step = 0; step < 1e9 && others < 3; step += 1) yield;
    return others;
  }
  expect(await inTurns(long())).toBeGreaterThanOrEqual(3);
  isOver = true;
});

test('work that tells how far it is comes to what it comes to, or ends where nobody wants it any more', async () => {
  async function* work() {
    yield await Promise.resolve(0.2);
    yield 0.6;
    return 'done';
  }
  const told: number[] = [];
  const all = await inTellingTurns(work(), (progress) => told.push(progress) > 0);
  expect([all, told]).toEqual([{ result: 'done' }, [0.2, 0.6]]);
  expect(await inTellingTurns(work(), (progress) => progress < 0.5)).toBeNull();
});
