import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Case, CaseSummary, Draft } from '#contracts';
import { problem } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let id: string;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = (await Promise.all(['imke', 'odile'].map(server.as))) as [Caller, Caller];
});
afterAll(() => server.close());
beforeEach(async () => {
  id = randomUUID();
  await imke
    .post('/api/cases')
    .send({ id, kind: 'reply', title: 'Owl', number: null, details: [], given: [] })
    .expect(201);
});

const change = (caller: Caller, body: object) => caller.post(`/api/cases/${id}/changes`).send(body);
const onDesk = async (caller: Caller) =>
  ((await caller.get('/api/cases').expect(200)).body as CaseSummary[]).find((one) => one.id === id);

test('given to a colleague it is on their desk too, once, and they can do all with it', async () => {
  await change(odile, { do: 'close' }).expect(404);
  expect((await change(imke, { do: 'give', to: 'odile' }).expect(200)).body).toMatchObject({
    given: ['imke', 'odile'],
  });
  expect(((await change(imke, { do: 'give', to: 'odile' }).expect(200)).body as Case).given).toHaveLength(2);
  await change(odile, { do: 'rename', title: 'Owlet', number: 'HL-1' }).expect(200);
  expect(await onDesk(imke)).toMatchObject({ title: 'Owlet', number: 'HL-1' });
});

test('taken back it is on their desk no more; what they wrote is theirs again once it is given back', async () => {
  await change(imke, { do: 'give', to: 'odile' }).expect(200);
  const draft = (await odile.post(`/api/cases/${id}/drafts`).expect(200)).body as Draft;
  expect((await change(imke, { do: 'take-back', from: 'odile' }).expect(200)).body).toMatchObject({
    given: ['imke'],
  });
  expect(await onDesk(odile)).toBeUndefined();
  await odile.get(`/api/cases/${id}`).expect(404);
  // Taken back twice, it is done.
  await change(imke, { do: 'take-back', from: 'odile' }).expect(200);
  await change(imke, { do: 'give', to: 'odile' }).expect(200);
  expect(((await odile.get(`/api/cases/${id}`)).body as Case).drafts.map((one) => one.id)).toEqual([
    draft.id,
  ]);
});

test('handed on: whoever gave it to another lets go of it, but never the last who has it', async () => {
  const alone = await change(imke, { do: 'take-back', from: 'imke' }).expect(422);
  expect(problem(alone).detail).toMatch(/^Somebody must have the case/);
  await change(imke, { do: 'give', to: 'odile' }).expect(200);
  expect((await change(imke, { do: 'take-back', from: 'imke' }).expect(200)).body).toBeNull();
  expect(await onDesk(imke)).toBeUndefined();
  expect(await onDesk(odile)).toMatchObject({ title: 'Owl' });
});

test('of two who have a case and take it from each other at once, one keeps it', async () => {
  await change(imke, { do: 'give', to: 'odile' }).expect(200);
  await Promise.all([
    change(imke, { do: 'take-back', from: 'odile' }),
    change(odile, { do: 'take-back', from: 'imke' }),
  ]);
  expect([await onDesk(imke), await onDesk(odile)].filter(Boolean)).toHaveLength(1);
});

test('closed and reopened for all it is given to; nothing in it changes', async () => {
  const before = (await imke.get(`/api/cases/${id}`)).body as Case;
  await change(imke, { do: 'close' }).expect(200);
  expect(await onDesk(imke)).toMatchObject({ closed: true });
  await change(imke, { do: 'reopen' }).expect(200);
  expect((await imke.get(`/api/cases/${id}`)).body).toEqual(before);
});

test.each([
  ['a name of nothing', { do: 'rename', title: '  ', number: null }, 'give it a title'],
  ['somebody who is not of the team', { do: 'give', to: 'nobody' }, 'not in your team'],
  ['an act that there is not', { do: 'burn' }, 'do'],
])('%s is told, and nothing is changed', async (_what, body, said) => {
  const answer = await change(imke, body).expect(422);
  expect(JSON.stringify(problem(answer))).toContain(said);
  expect(await onDesk(imke)).toMatchObject({ title: 'Owl', closed: false });
});
