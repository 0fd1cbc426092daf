import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Entry, Found, Stepped } from '#contracts';
import { changing, deleting, deletionIn, takeSteps, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

/** More than those whose words are written within the act. */
const MANY = 150;

let server: TestServer;
let imke: Caller;
let all: Entry[];
beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  const steps = Array.from({ length: MANY }, (_, at) => ({
    do: 'make',
    name: `n${at}`,
    collection: 'ward',
    content: wording(`Otter ${at}`, 'It swam.', `otter${at}`),
    reason: '',
  }));
  const made = await Promise.all(
    [steps.slice(0, 100), steps.slice(100)].map((some) => takeSteps(imke, ...some).expect(200)),
  );
  all = made.flatMap(({ body }) => (body as Stepped).entries);
});
afterAll(() => server.close());

const count = async (query: string) => {
  const { entries } = (await imke.post('/api/bank/search').send({ query }).expect(200)).body as Found;
  return entries.filter(({ collection }) => collection === 'ward').length;
};
const changed = (some: readonly Entry[], words: string) =>
  some.map(({ id, revision, content }) => ({
    entry: id,
    revision,
    content: { ...wording(content.title, words), cues: content.cues },
  }));

test('many that are changed are found by what they say once that is answered, and by nothing they said', async () => {
  const before = await count('swam');
  all = ((await changing(imke, changed(all, 'It dived.')).expect(200)).body as Stepped).entries;
  expect(await count('dived')).toBe(before);
  expect(await count('swam')).toBe(0);
});

test('where one of many moved on nothing is changed: they are found as they were', async () => {
  const before = await count('dived');
  const stale = changed(all, 'It surfaced.').map((one, at) => (at === 0 ? { ...one, revision: 1 } : one));
  await changing(imke, stale).expect(412);
  expect([await count('dived'), await count('surfaced')]).toEqual([before, 0]);
});

test('many that are deleted are not found; brought back, from the wastebasket or by a step, they are, with their cues', async () => {
  const before = await count('dived');
  const ids = all.map(({ id }) => id);
  const deletion = deletionIn(await deleting(imke, ids).expect(200));
  expect(await count('dived')).toBe(0);
  await imke.post(`/api/wastebasket/${deletion}/restored`).send({ entries: null }).expect(200);
  expect(await count('dived')).toBe(before);
  const again = deletionIn(await deleting(imke, ids).expect(200));
  await takeSteps(imke, { do: 'restore', deletion: again }).expect(200);
  expect(await count('dived')).toBe(before);
  expect(await count('otter149')).toBe(1);
});
