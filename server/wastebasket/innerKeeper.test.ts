import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Bank, Collection, Deletion, Entry, Sharing, TrailLine } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { keep, moving, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

/** Imke keeps what is around; Desta keeps a collection within it, and does not see what is around. */
let server: TestServer;
let imke: Caller;
let desta: Caller;
let anouk: Caller;
let outer: Collection;
let inner: Collection;
let secret: Entry;
let made = 0;

beforeAll(async () => {
  server = await startTestServer();
  [imke, desta, anouk] = (await Promise.all(['imke', 'desta', 'anouk'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

const make = async (name: string, parent: string | null) =>
  (
    await imke
      .post('/api/collections')
      .send({ name, leadIn: ';', cueRules: DEFAULT_CUE_RULES, kindsOfWork: [], language: 'en-GB', parent })
      .expect(201)
  ).body as Collection;
const share = async (id: string, grants: Sharing['grants']) => {
  const { version } = (await imke.get(`/api/collections/${id}/sharing`).expect(200)).body as Sharing;
  await imke
    .put(`/api/collections/${id}/sharing`)
    .set('If-Match', `"${version}"`)
    .send({ grants })
    .expect(200);
};
const to = (id: string, right: 'keep' | 'read') => ({ to: { kind: 'member' as const, id }, right });
const basket = async (caller: Caller) =>
  (await caller.get('/api/wastebasket').expect(200)).body as Deletion[];
const trail = async () =>
  (
    (await imke.post('/api/trail').send({ about: null, by: null, from: null, until: null, before: null }))
      .body as { lines: TrailLine[] }
  ).lines;

beforeEach(async () => {
  made += 1;
  outer = await make(`Board matters ${made}`, null);
  inner = await make(`Tutors corner ${made}`, outer.id);
  await share(inner.id, [to('desta', 'keep'), to('anouk', 'read')]);
  secret = (await keep(imke, outer.id, wording(`Secret ${made}`, 'Only for the board.'))).body as Entry;
});

const drop = async ({ id }: Collection) => {
  const { collections } = (await imke.get('/api/bank').expect(200)).body as Bank;
  const { version } = collections.find((one) => one.id === id)!;
  await imke.delete(`/api/collections/${id}`).set('If-Match', `"${version}"`).expect(204);
};

test('what lay around an inner collection is neither shown to its keeper, nor brought back, nor destroyed by them', async () => {
  await drop(outer);
  expect(JSON.stringify(await basket(desta))).not.toContain('Board matters');
  const [deletion] = await basket(imke);
  await desta.post(`/api/wastebasket/${deletion!.id}/restored`).send({ entries: null }).expect(404);
  await desta.delete(`/api/wastebasket/${deletion!.id}`).expect(404);
  await desta.get(`/api/entries/${secret.id}`).expect(404);
  await imke.post(`/api/wastebasket/${deletion!.id}/restored`).send({ entries: null }).expect(200);
  await imke.get(`/api/entries/${secret.id}`).expect(200);
  // Who could not see it before cannot now; who kept the inner one keeps it again.
  await desta.get(`/api/entries/${secret.id}`).expect(404);
  await keep(desta, inner.id, wording(`Of Desta ${made}`, 'x')).expect(201);
});

test('destroyed for good by who kept it, the trail tells of it without its name', async () => {
  await drop(outer);
  const [deletion] = await basket(imke);
  await imke.delete(`/api/wastebasket/${deletion!.id}`).expect(204);
  expect((await trail())[0]).toMatchObject({
    act: 'wastebasket-emptied',
    by: 'Imke Tarrow',
    subject: 'A collection with 1 entry',
  });
  expect(await basket(imke)).toEqual([]);
});

test('a keeper of the inner one does not take it out of the hands of those who keep what is around it', async () => {
  const move = (caller: Caller, parent: string | null) =>
    caller.post(`/api/collections/${inner.id}/place`).send({ parent, before: null });
  const own = (
    await desta.post('/api/collections').send({
      name: `Of Desta ${made}`,
      leadIn: ';',
      cueRules: DEFAULT_CUE_RULES,
      kindsOfWork: [],
      language: 'en-GB',
      parent: null,
    })
  ).body as Collection;
  expect(problem(await move(desta, own.id).expect(403)).code).toBe('not-allowed');
  // At the top, where she sees it already, it stays where it is.
  await move(desta, null).expect(200);
  await keep(imke, inner.id, wording(`Still Imke's ${made}`, 'x')).expect(201);
  await move(imke, null).expect(200);
});

test('moved where others read it, an entry shows them what it is now; its history stays with those who saw it', async () => {
  const first = (await keep(imke, 'own-imke', wording(`Own ${made}`, 'Mrs Penhaligon is impossible.')))
    .body as Entry;
  await saveAs(imke, first.id, 1, wording(`Own ${made}`, 'The caller was upset.')).expect(200);
  await moving(imke, [first.id], inner.id).expect(200);
  await saveAs(imke, first.id, 2, wording(`Own ${made}`, 'The caller was upset. Ring back.')).expect(200);
  const seenBy = async (caller: Caller) =>
    ((await caller.get(`/api/entries/${first.id}/revisions`).expect(200)).body as { revision: number }[]).map(
      ({ revision }) => revision,
    );
  expect(await seenBy(imke)).toEqual([3, 2, 1]);
  expect(await seenBy(anouk)).toEqual([3, 2]);
  await anouk.get(`/api/entries/${first.id}/revisions/2`).expect(200);
  await anouk.get(`/api/entries/${first.id}/revisions/1`).expect(404);
  await imke.get(`/api/entries/${first.id}/revisions/1`).expect(200);
  // Moved on, and the collection it came from gone for good: nobody new comes to see what was there.
  const third = await make(`Third ${made}`, null);
  await share(third.id, [to('imke', 'keep'), to('anouk', 'read')]);
  await moving(imke, [first.id], third.id).expect(200);
  expect(await seenBy(anouk)).toEqual([3, 2]);
});
