import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { serverClock } from '../db';
import { startTestServer, type TestServer } from '../testing/testServer';
import { isClockSteady } from './steadyClock';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

/** Looks at the clock at some days from the first look, one after the other. */
async function looked(...days: number[]): Promise<boolean[]> {
  await server.context.db.delete(serverClock);
  const answers: boolean[] = [];
  for (const day of days) {
    const now = () => new Date(server.context.now().getTime() + day * 86_400_000);
    answers.push(await isClockSteady({ now }, server.context.db));
  }
  return answers;
}

test.each([
  ['looked at every day', [0, 1, 2, 3], [true, true, true, true]],
  ['a week away', [0, 7], [true, true]],
  ['forty days ahead, and put right', [0, 40, 0.1, 1, 3.2], [true, false, false, false, true]],
  ['a month away: trusted again after three days', [0, 30, 31, 32, 33.1], [true, false, false, false, true]],
  ['first looked at forty days after anybody did anything', [40], [false]],
])('%s', async (_, days, wanted) => {
  expect(await looked(...days)).toEqual(wanted);
});
