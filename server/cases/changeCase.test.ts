import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Case, CaseSummary } from '#contracts';
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

test('closed and reopened for all it is given to; nothing in it changes', async () => {
  const before = (await imke.get(`/api/cases/${id}`)).body as Case;
  await change(imke, { do: 'close' }).expect(200);
  expect(await onDesk(imke)).toMatchObject({ closed: true });
  await change(imke, { do: 'reopen' }).expect(200);
  expect((await imke.get(`/api/cases/${id}`)).body).toEqual(before);
});

test.each([
  ['a name of nothing', { do: 'rename', title: '  ', number: null }, 'say what it is called'],
  ['somebody who is not of the team', { do: 'give', to: 'nobody' }, 'not of your team'],
  ['an act that there is not', { do: 'burn' }, 'do'],
])('%s is told, and nothing is changed', async (_what, body, said) => {
  const answer = await change(imke, body).expect(422);
  expect(JSON.stringify(problem(answer))).toContain(said);
  expect(await onDesk(imke)).toMatchObject({ title: 'Owl', closed: false });
});
