import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Bank, Collection, CollectionRevision, Entry, Note } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { deleting, keep, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let anouk: Caller;
let ruan: Caller;
let entry: Entry;
let made = 0;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, anouk, ruan] = (await Promise.all(['imke', 'odile', 'anouk', 'ruan'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

// In the ward's collection Imke and Odile keep, Anouk reads; to Ruan it does not exist.
beforeEach(async () => {
  made += 1;
  entry = (await keep(imke, 'ward', wording(`Feeding ${made}`, 'It was fed.', `qq${made}`))).body as Entry;
});

const notesOf = async (caller: Caller) =>
  ((await caller.get('/api/notes').expect(200)).body as Note[]).filter((note) => note.entry === entry.id);
const note = (caller: Caller, text: string) => caller.post(`/api/entries/${entry.id}/notes`).send({ text });

test('a note is seen and answered by keepers and by who wrote it, by nobody else; closed, it waits no more', async () => {
  const { id } = (await note(anouk, 'Wrong dose unit').expect(201)).body as Note;
  expect((await note(ruan, 'x')).status).toBe(404);
  expect(problem(await note(anouk, '  ')).code).toBe('not-valid');
  expect(await notesOf(odile)).toMatchObject([{ id, by: 'Anouk Fell', keeps: true, own: false }]);
  const desta = await server.as('desta');
  expect(await notesOf(desta)).toEqual([]);
  for (const caller of [desta, ruan]) {
    expect((await caller.post(`/api/notes/${id}/answers`).send({ text: 'x' })).status).toBe(404);
    expect((await caller.put(`/api/notes/${id}`).send({ closed: true })).status).toBe(404);
  }
  await odile.post(`/api/notes/${id}/answers`).send({ text: 'Mended, thank you' }).expect(201);
  expect((await notesOf(anouk))[0]!.answers).toMatchObject([
    { text: 'Mended, thank you', by: 'Odile Brandt' },
  ]);
  await odile.put(`/api/notes/${id}`).send({ closed: true }).expect(200);
  expect(await notesOf(imke)).toEqual([]);
  expect(await notesOf(anouk)).toMatchObject([{ closed: true }]);
});

test('of all who ask at once what changed each is told as if nobody else had asked; who may not see it, nothing', async () => {
  const read = (caller: Caller, collection: string, had: number | null) =>
    caller.post(`/api/collections/${collection}/changes`).send({ had });
  const { changes } = (await read(imke, 'ward', null).expect(200)).body as { changes: number };
  const second = (await keep(imke, 'ward', wording(`Second ${made}`, 'x'))).body as Entry;
  await saveAs(imke, entry.id, 1, wording(`Feeding ${made}`, 'It was fed twice.', `qq${made}`)).expect(200);
  await deleting(imke, [second.id]).expect(200);
  const hads = [changes - 1, changes, changes + 1, changes + 2, changes + 3, null];
  const asked = [
    ...hads.flatMap((had) =>
      [imke, odile, anouk, ruan].map((caller) => ({ caller, collection: 'ward', had })),
    ),
    ...[imke, ruan].map((caller) => ({ caller, collection: 'archive', had: null })),
    { caller: imke, collection: 'nowhere', had: null },
  ];
  const told = async (one: (typeof asked)[number]) => {
    const answer = await read(one.caller, one.collection, one.had);
    return {
      status: answer.status,
      body: answer.body as { entries: Entry[]; gone: { entry: string }[] },
    };
  };
  const alone = [];
  for (const one of asked) alone.push(await told(one));
  const together = await Promise.all(asked.map(told));
  expect(together).toEqual(alone);
  const [before, , , ofOther] = together;
  expect(ofOther!.status).toBe(404);
  const { entries, gone } = before!.body;
  expect(entries.map(({ id, revision }) => [id, revision])).toContainEqual([entry.id, 2]);
  expect(gone).toContainEqual({ entry: second.id, collection: 'ward' });
  expect(together[8]!.body).toMatchObject({ entries: [{ id: entry.id }] });
});

test('a variation stands in for a shared entry: once in a collection, without cues, private as its collection', async () => {
  const vary = (caller: Caller, collection: string, varies = { entry: entry.id, revision: 1 }) =>
    caller
      .post('/api/entries')
      .send({ collection, content: wording('Mine', 'It ate.', `qq${made}`), reason: '', varies });
  const own = (await vary(anouk, 'own-anouk').expect(201)).body as Entry;
  expect(own).toMatchObject({ varies: { entry: entry.id, revision: 1 }, content: { cues: [] } });
  expect(problem(await vary(anouk, 'own-anouk')).detail).toContain('already');
  expect(problem(await vary(imke, 'ward')).code).toBe('not-valid');
  expect(problem(await vary(ruan, 'own-ruan')).code).toBe('not-found');
  expect(problem(await vary(imke, 'own-imke', { entry: own.id, revision: 1 })).code).toBe('not-found');
  const saved = (await saveAs(anouk, own.id, 1, wording('Mine', 'It ate well.', 'cue'))).body as Entry;
  expect(saved.content.cues).toEqual([]);
  await saveAs(imke, entry.id, 1, wording(`Feeding ${made}`, 'It was fed well.')).expect(200);
  expect(problem(await imke.put(`/api/entries/${entry.id}/varies`).send({ revision: 2 })).code).toBe(
    'not-valid',
  );
  const held = await anouk.put(`/api/entries/${own.id}/varies`).send({ revision: 2 }).expect(200);
  expect(held.body).toMatchObject({ varies: { revision: 2 }, revision: 2 });
  const bank = (await imke.get('/api/bank')).body as Bank;
  expect(JSON.stringify(bank.entries)).not.toContain(own.id);
  // Dropped, another may be made.
  await deleting(anouk, [own.id]).expect(200);
  await vary(anouk, 'own-anouk').expect(201);
});

test('who else has an entry open is told to those who may see it, until they leave or fall silent', async () => {
  const [a, b] = ['6f1c2a52-7d0e-4c55-9d83-0a4b8f8b1a01', '6f1c2a52-7d0e-4c55-9d83-0a4b8f8b1a02'];
  const present = async (caller: Caller, page: string) =>
    (await caller.post(`/api/entries/${entry.id}/present`).send({ page }).expect(200)).body as string[];
  expect(await present(imke, a)).toEqual([]);
  expect(await present(odile, b)).toEqual(['Imke Tarrow']);
  expect(await present(imke, a)).toEqual(['Odile Brandt']);
  expect((await ruan.post(`/api/entries/${entry.id}/present`).send({ page: a })).status).toBe(404);
  // Nobody sends away another's page.
  await ruan.delete(`/api/presences/${a}`).expect(204);
  expect(await present(odile, b)).toEqual(['Imke Tarrow']);
  await imke.delete(`/api/presences/${a}`).expect(204);
  expect(await present(odile, b)).toEqual([]);
});

test("a collection's settings as they were, by whom and why; to others it has no history", async () => {
  const settings = {
    name: 'Box',
    leadIn: ';',
    cueRules: DEFAULT_CUE_RULES,
    kindsOfWork: [],
    language: 'en-GB',
  };
  const { id } = (await imke.post('/api/collections').send({ ...settings, parent: null })).body as Collection;
  await imke
    .put(`/api/collections/${id}`)
    .set('If-Match', '"1"')
    .send({ ...settings, leadIn: '#', reason: 'The semicolon is in the way' })
    .expect(200);
  const history = (await imke.get(`/api/collections/${id}/revisions`)).body as CollectionRevision[];
  expect(
    history.map(({ version, settings: { leadIn }, savedBy, reason }) => [version, leadIn, savedBy, reason]),
  ).toEqual([
    [2, '#', 'Imke Tarrow', 'The semicolon is in the way'],
    [1, ';', 'Imke Tarrow', ''],
  ]);
  expect((await odile.get(`/api/collections/${id}/revisions`)).status).toBe(404);
});
