import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Entry, Proposal } from '#contracts';
import type { EntryContent } from '#core/entry';
import { keep, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let desta: Caller;
let ruan: Caller;
let anouk: Caller;
let entry: Entry;
let made = 0;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, desta, ruan, anouk] = (await Promise.all(
    ['imke', 'odile', 'desta', 'ruan', 'anouk'].map(server.as),
  )) as [Caller, Caller, Caller, Caller, Caller];
});
afterAll(() => server.close());

// In the ward's collection Imke and Odile keep, Desta contributes, Anouk reads; to Ruan it does not exist.
beforeEach(async () => {
  made += 1;
  entry = (await keep(imke, 'ward', wording(`Fluids ${made}`, 'Fluids were given.'))).body as Entry;
});

const propose = (caller: Caller, content: EntryContent, reason = 'Clearer so') =>
  caller.post(`/api/entries/${entry.id}/proposals`).send({ content, reason, base: 1 });
const proposed = async (content = wording(`Fluids ${made}`, 'Warm fluids were given.')) =>
  (await propose(desta, content).expect(201)).body as Proposal;
const answer = (caller: Caller, id: string, accept: unknown, words = '') =>
  caller.post(`/api/proposals/${id}/answer`).send({ accept, answer: words });
const queue = async (caller: Caller) =>
  ((await caller.get('/api/proposals').expect(200)).body as Proposal[]).filter(
    (one) => one.entry === entry.id,
  );

test('a contributor proposes; keepers see it with what it touches, readers and strangers nothing of it', async () => {
  const draft = (await imke.post('/api/cases/swan-keel/drafts')).body as { id: string; document: object };
  const placement = { entry: entry.id, revision: 1 };
  await server.context.db.execute(
    `update drafts set document = jsonb_set(document::jsonb, '{attrs,placements}', '${JSON.stringify({ p1: placement })}') where id = '${draft.id}'`,
  );
  const { id } = await proposed();
  expect(await queue(odile)).toMatchObject([
    { id, mayAnswer: true, own: false, drafts: 1, proposedBy: 'Desta Wynne' },
  ]);
  expect(await queue(desta)).toMatchObject([{ id, mayAnswer: false, own: true, drafts: null }]);
  expect([...(await queue(anouk)), ...(await queue(ruan))]).toEqual([]);
  expect(problem(await propose(anouk, entry.content)).code).toBe('not-allowed');
  expect(problem(await propose(ruan, entry.content)).code).toBe('not-found');
  expect(problem(await answer(ruan, id, null)).code).toBe('not-found');
  expect(problem(await answer(desta, id, null)).code).toBe('not-allowed');
  expect(problem(await propose(desta, entry.content, ' ')).code).toBe('not-valid');
});

test('of an entry that is deleted its proposer is told so; to others the proposal is gone, until it is brought back', async () => {
  const { id } = await proposed();
  const { deletions } = (
    await imke
      .post('/api/entries/steps')
      .send({ steps: [{ do: 'delete', entries: [entry.id] }] })
      .expect(200)
  ).body as { deletions: string[] };
  expect(await queue(desta)).toMatchObject([{ id, state: 'open', deleted: true, mayAnswer: false }]);
  expect([...(await queue(imke)), ...(await queue(odile))]).toEqual([]);
  expect(problem(await answer(imke, id, null, 'No.')).code).toBe('not-found');
  await imke
    .post('/api/entries/steps')
    .send({ steps: [{ do: 'restore', deletion: deletions[0] }] })
    .expect(200);
  expect(await queue(desta)).toMatchObject([{ id, state: 'open', deleted: false }]);
  expect(await queue(odile)).toMatchObject([{ id, mayAnswer: true }]);
});

test('accepted, it is the next revision, once, however many accept at once', async () => {
  const { id, content } = await proposed();
  const answers = await Promise.all(
    [imke, odile].map((caller) => answer(caller, id, { content, revision: 1 })),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 412]);
  const now = (await desta.get(`/api/entries/${entry.id}`)).body as Entry;
  expect(now).toMatchObject({ revision: 2, reason: 'Desta Wynne proposed: Clearer so' });
  expect(await queue(desta)).toMatchObject([{ state: 'accepted' }]);
  expect(await queue(imke)).toEqual([]);
});

test('the entry has moved on: it is accepted for what stands there now, or not at all', async () => {
  const { id, content } = await proposed();
  await saveAs(imke, entry.id, 1, wording(`Fluids ${made}`, 'Cold fluids.')).expect(200);
  expect(problem(await answer(odile, id, { content, revision: 1 })).code).toBe('moved-on');
  expect(await queue(desta)).toMatchObject([{ state: 'open' }]);
  await answer(odile, id, { content, revision: 2 }, 'Thank you').expect(200);
  expect(await queue(desta)).toMatchObject([
    { state: 'accepted', answer: 'Thank you', answeredBy: 'Odile Brandt' },
  ]);
});

test('declined with a word, or taken back: nothing of it happens after that', async () => {
  const declined = await proposed();
  await answer(imke, declined.id, null, 'We warm them always').expect(200);
  expect(problem(await answer(odile, declined.id, { content: declined.content, revision: 1 })).code).toBe(
    'moved-on',
  );
  const back = await proposed();
  expect(problem(await imke.delete(`/api/proposals/${back.id}`)).code).toBe('not-allowed');
  await desta.delete(`/api/proposals/${back.id}`).expect(204);
  expect(problem(await answer(imke, back.id, null)).code).toBe('moved-on');
  expect((await queue(desta)).map(({ state }) => state).sort()).toEqual(['declined', 'withdrawn']);
  expect(((await desta.get(`/api/entries/${entry.id}`)).body as Entry).revision).toBe(1);
});

test('a proposer to whom the collection is not shared any more sees nothing of it, nor do its events tell', async () => {
  const { id } = await proposed();
  const sharing = (await imke.get('/api/collections/ward/sharing')).body as {
    version: number;
    grants: object[];
  };
  const set = (version: number, grants: object[]) =>
    imke.put('/api/collections/ward/sharing').set('If-Match', `"${version}"`).send({ grants }).expect(200);
  await set(
    sharing.version,
    sharing.grants.filter((grant) => !JSON.stringify(grant).includes('desta')),
  );
  expect(await queue(desta)).toEqual([]);
  expect(problem(await desta.delete(`/api/proposals/${id}`)).code).toBe('not-found');
  await set(sharing.version + 1, sharing.grants);
});
