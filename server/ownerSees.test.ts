import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Entry } from '#contracts';
import { members } from './db';
import { deleting, keep, wording } from './testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from './testing/testServer';

let server: TestServer;
let odile: Caller;
let wilma: Caller;

beforeAll(async () => {
  server = await startTestServer();
  const owner = { id: 'wilma', name: 'Wilma Reed', email: 'wilma@hollin.example', role: 'owner' as const };
  await server.context.db.insert(members).values({ ...owner, createdAt: server.context.now() });
  odile = await server.as('odile');
  wilma = await server.as('wilma');
});
afterAll(() => server.close());

test('what an owner who has no right on it cannot come by: the collection exists for none of their lists', async () => {
  const secret = wording('Kestrel in the secret wing', 'Words.', 'secretcue');
  const { id } = (await keep(odile, 'ward', secret)).body as Entry;
  await deleting(odile, [id]);
  await keep(odile, 'ward', secret);
  const lists = ['/api/bank', '/api/proposals', '/api/notes', '/api/wastebasket', '/api/team', '/api/people'];
  for (const list of lists) {
    const { text } = await wilma.get(list).expect(200);
    expect(text).not.toContain('secret');
    expect(text).not.toContain('ward"');
  }
  const { text } = await wilma
    .post('/api/trail')
    .send({ about: null, by: null, from: null, until: null, before: null })
    .expect(200);
  expect(text).not.toContain('secret');
});
