import { beforeEach, expect, test } from '@jest/globals';
import { isReached, Unreachable } from '#client/api';
import { noteReach } from '../api/reach';
import { againWhenReached } from './againWhenReached';
import { SendingStopped } from './sendFile';

beforeEach(() => noteReach(true));

/** Something that is sent, of which the first tries fail with these. */
function sending(...failures: Error[]) {
  const stop = new AbortController();
  const told: boolean[] = [];
  let tries = 0;
  const kept = againWhenReached(
    () => {
      tries += 1;
      const failure = failures[tries - 1];
      return failure ? Promise.reject(failure) : Promise.resolve('kept');
    },
    { name: 'film.mp4', signal: stop.signal, waits: (isWaiting) => told.push(isWaiting) },
  );
  return { kept, told, stop, tries: () => tries };
}
const settled = async () => {
  for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
};

test('what nobody answers waits, and is sent again once the server is back', async () => {
  const { kept, told, tries } = sending(new Unreachable());
  await settled();
  expect([tries(), told, isReached()]).toEqual([1, [true], false]);
  noteReach(true);
  expect([await kept, tries(), told]).toEqual(['kept', 2, [true, false]]);
});

test('what is refused is not sent again', async () => {
  const { kept, told } = sending(new Error('Too large.'));
  await expect(kept).rejects.toThrow('Too large.');
  expect(told).toEqual([]);
});

test('stopped while it waits, it ends and says so; the server that comes back has it not sent', async () => {
  const { kept, stop, tries } = sending(new Unreachable());
  await settled();
  stop.abort();
  await expect(kept).rejects.toBeInstanceOf(SendingStopped);
  noteReach(true);
  await settled();
  expect(tries()).toBe(1);
});

test('where the server answers all else and never this, it is told after some tries', async () => {
  const failures = Array.from({ length: 9 }, () => new Unreachable());
  noteReach(true);
  const { kept, tries } = sending(...failures);
  const told = expect(kept).rejects.toBeInstanceOf(Unreachable);
  for (let turn = 0; turn < 6; turn += 1) {
    noteReach(false);
    noteReach(true);
    await settled();
  }
  await told;
  expect(tries()).toBe(4);
});
