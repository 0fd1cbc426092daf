import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Glossary, Imported, OwnUses, Problem, TrailLine } from '#contracts';
import { eq, like } from 'drizzle-orm';
import { readWordList, type Preferences } from '#core/glossary';
import { termLists, terms } from '../db';
import { beginList, dropListsOfNone, writeTerms } from '../termLists';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  ruan = await server.as('ruan');
});
afterAll(() => server.close());

const list = async (caller: Caller) => (await caller.get('/api/glossaries')).body as Glossary[];
const settings = {
  name: 'Interviews',
  language: 'en-GB',
  kindsOfWork: ['transcript'],
  priority: 4,
  careful: false,
};
const make = async (caller: Caller) =>
  (await caller.post('/api/glossaries').send(settings).expect(201)).body as Glossary;
const termsOf = async (caller: Caller, { id, version }: Glossary) => {
  const response = await caller.get(`/api/glossaries/${id}/terms/${version}`).expect(200);
  const { terms } = response.body as { terms: string };
  return { terms: readWordList(terms).terms.map(({ text }) => text), cache: response.get('Cache-Control') };
};

test('a team has three lists to begin with, and a word list comes back as it was taken over', async () => {
  const lists = await list(ruan);
  expect(lists.map(({ name, shipped, right }) => [name, shipped, right])).toEqual([
    ['General English', 'english', 'contribute'],
    ['Medicines and strengths', null, 'contribute'],
    ['Species of the marsh', null, 'contribute'],
  ]);
  const own = await make(ruan);
  const done = (
    await ruan
      .post(`/api/glossaries/${own.id}/import`)
      .send({ terms: 'reed cutter\trc\t5\nWarden\n\tx\t1\nsluice\t\tmany\n', replace: false })
      .expect(200)
  ).body as Imported;
  expect(done).toMatchObject({ added: 2, changed: 0, glossary: { count: 2, version: 2 } });
  expect(done.faults.map(({ line }) => line)).toEqual([3, 4]);
  const { terms, cache } = await termsOf(imke, done.glossary);
  expect(terms).toEqual(expect.arrayContaining(['Warden', 'reed cutter']));
  expect(cache).toContain('immutable');
  // At another version than the one it has, the answer must be asked for again.
  expect((await termsOf(imke, own)).cache).toContain('no-cache');
  const replaced = (
    await ruan.post(`/api/glossaries/${own.id}/import`).send({ terms: 'Warden\twd\n', replace: true })
  ).body as Imported;
  expect(replaced).toMatchObject({ added: 0, changed: 1, dropped: 1, glossary: { count: 1 } });
});

const wordListOf = (name: string, from: number, count: number) =>
  Array.from({ length: count }, (_, at) => `${name} ${from + at}`).join('\n');
const importing = (caller: Caller, { id }: Glossary, terms: string, replace: boolean) =>
  caller.post(`/api/glossaries/${id}/import`).send({ terms, replace });

test('a long list is taken over whole, beside what is there or in its place, and what it replaced is gone', async () => {
  const own = await make(ruan);
  const lists = async () => (await server.context.db.select().from(termLists)).length;
  const before = await lists();
  const first = (await importing(ruan, own, wordListOf('reed', 0, 5000), false).expect(200)).body as Imported;
  expect(first).toMatchObject({ added: 5000, changed: 0, dropped: 0, glossary: { count: 5000 } });
  const beside = (await importing(ruan, own, wordListOf('reed', 4000, 5000), false)).body as Imported;
  expect(beside).toMatchObject({ added: 4000, changed: 0, dropped: 0, glossary: { count: 9000 } });
  const inPlace = (await importing(ruan, own, `reed 1\trr\n${wordListOf('sedge', 0, 3000)}`, true))
    .body as Imported;
  expect(inPlace).toMatchObject({ added: 3000, changed: 1, dropped: 8999, glossary: { count: 3001 } });
  const { terms: now } = await termsOf(imke, inPlace.glossary);
  expect([now.length, new Set(now).size, now.includes('reed 1'), now.includes('reed 2')]).toEqual([
    3001,
    3001,
    true,
    false,
  ]);
  expect(await lists()).toBe(before);
});

test('a term that is added while a long list is taken over is in the list that comes of it', async () => {
  const own = await make(imke);
  await importing(imke, own, wordListOf('reed', 0, 4000), false).expect(200);
  const long = importing(imke, own, wordListOf('sedge', 0, 8000), false).then(({ body }) => body as Imported);
  const added: string[] = [];
  for (let at = 0; at < 3; at += 1) {
    const term = { text: `alder ${at}`, cue: '', weight: 1, note: '' };
    await ruan.post(`/api/glossaries/${own.id}/terms`).send(term).expect(200);
    added.push(term.text);
  }
  await long;
  const now = (await list(imke)).find(({ id }) => id === own.id)!;
  const { terms: all } = await termsOf(imke, now);
  expect(all).toEqual(expect.arrayContaining([...added, 'reed 3999', 'sedge 7999']));
  expect([all.length, now.count]).toEqual([12_003, 12_003]);
});

test('lists that no glossary has are dropped, a fresh one only after a day', async () => {
  const { context } = server;
  const own = await make(imke);
  await importing(imke, own, wordListOf('reed', 0, 2500), false).expect(200);
  const left = await beginList(context, context.db);
  await writeTerms(context.db, left, [{ text: 'left over', cue: '', weight: 1, note: '' }]);
  const isThere = async () => (await context.db.select().from(terms).where(eq(terms.list, left))).length > 0;
  await dropListsOfNone(context);
  expect(await isThere()).toBe(true);
  const tomorrow = new Date(context.now().getTime() + 25 * 3_600_000);
  await dropListsOfNone({ db: context.db, now: () => tomorrow });
  expect(await isThere()).toBe(false);
  expect((await list(imke)).find(({ id }) => id === own.id)?.count).toBe(2500);
  expect((await context.db.select().from(terms).where(like(terms.text, 'reed 2%'))).length).toBeGreaterThan(
    600,
  );
});

test('anyone adds a term; only who made the list, or an owner, takes out, replaces or deletes', async () => {
  const own = await make(imke);
  const term = { text: 'sluice', cue: '', weight: 1, note: '' };
  await ruan.post(`/api/glossaries/${own.id}/terms`).send(term).expect(200);
  for (const refused of [
    ruan.delete(`/api/glossaries/${own.id}/terms/sluice`),
    ruan.post(`/api/glossaries/${own.id}/import`).send({ terms: '', replace: true }),
    ruan.put(`/api/glossaries/${own.id}`).set('If-Match', '"2"').send(settings),
    ruan.delete(`/api/glossaries/${own.id}`).set('If-Match', '"2"'),
  ])
    expect(((await refused).body as Problem).code).toBe('not-allowed');
  const stale = await imke.put(`/api/glossaries/${own.id}`).set('If-Match', '"1"').send(settings);
  expect((stale.body as Problem).code).toBe('moved-on');
  const left = (await imke.delete(`/api/glossaries/${own.id}/terms/sluice`).expect(200)).body as Glossary;
  expect(left.count).toBe(0);
  await imke.delete(`/api/glossaries/${own.id}`).set('If-Match', `"${left.version}"`).expect(204);
  expect((await list(imke)).map(({ id }) => id)).not.toContain(own.id);
  const shipped = await imke.post('/api/glossaries/english/terms').send(term);
  expect((shipped.body as Problem).code).toBe('not-allowed');
});

test('how a term reads that is there, its warning among it, is changed by keepers alone; the trail tells of terms', async () => {
  const own = await make(imke);
  const keepTerm = (caller: Caller, note: string) =>
    caller.post(`/api/glossaries/${own.id}/terms`).send({ text: 'amoxicillin', cue: '', weight: 3, note });
  await keepTerm(ruan, 'Not for rabbits').expect(200);
  // The same again changes nothing, and is no fault.
  await keepTerm(ruan, 'Not for rabbits').expect(200);
  expect(((await keepTerm(ruan, 'No warning at all')).body as Problem).code).toBe('not-allowed');
  await keepTerm(imke, 'Never for rabbits').expect(200);
  await imke.post(`/api/glossaries/${own.id}/import`).send({ terms: 'newt', replace: false }).expect(200);
  await imke.delete(`/api/glossaries/${own.id}/terms/newt`).expect(200);
  const all = { about: 'wording', by: null, from: null, until: null, before: null };
  const { lines } = (await imke.post('/api/trail').send(all)).body as { lines: TrailLine[] };
  const told = lines.filter(({ act }) => act.startsWith('term'));
  expect(told.map(({ act, by, subject }) => [act, by, subject]).slice(0, 4)).toEqual([
    ['term-dropped', 'Imke Tarrow', 'newt'],
    ['terms-imported', 'Imke Tarrow', own.name],
    ['term-changed', 'Imke Tarrow', 'amoxicillin'],
    ['term-added', 'Ruan Pellow', 'amoxicillin'],
  ]);
});

test('two who add at once both keep their terms', async () => {
  const own = await make(imke);
  const add = (caller: Caller, text: string) =>
    caller.post(`/api/glossaries/${own.id}/terms`).send({ text, cue: '', weight: 1, note: '' }).expect(200);
  await Promise.all(['a1', 'b2', 'c3', 'd4'].map((text, at) => add(at % 2 ? imke : ruan, text)));
  const now = (await list(imke)).find(({ id }) => id === own.id)!;
  expect([now.count, now.version]).toEqual([4, 5]);
});

test('uses add up for oneself alone, and preferences are kept', async () => {
  const use = { source: 'term', list: 'species', term: 'hedgehog', times: 1, shown: 8, pressed: 4 };
  const tell = (day: string) =>
    imke
      .post('/api/uses')
      .send({ day, kind: 'admission', uses: [use, use] })
      .expect(204);
  await tell('2026-11-24');
  await tell('2026-11-25');
  const own = (await imke.get('/api/uses')).body as OwnUses;
  expect(own.used).toEqual([
    { source: 'term', list: 'species', term: 'hedgehog', kind: 'admission', times: 4 },
  ]);
  expect(own.days.map(({ day, shown, pressed }) => [day, shown, pressed])).toEqual([
    ['2026-11-25', 16, 8],
    ['2026-11-24', 16, 8],
  ]);
  expect((await ruan.get('/api/uses')).body).toEqual({ used: [], days: [] });
  const liked = { offers: 'caret', firstBy: 'space', reach: { admission: { in: [], out: ['species'] } } };
  await imke.put('/api/preferences').send(liked).expect(200);
  expect((await imke.get('/api/preferences')).body).toEqual(liked);
  expect((await ruan.get('/api/preferences')).body).toMatchObject({ offers: 'margin' });
});

test('preferences changed on two computers at once: the second is told, and nothing is written over', async () => {
  const desta = await server.as('desta');
  const read = async () => (await desta.get('/api/preferences').expect(200)).body as Preferences;
  const save = (was: Preferences, change: Partial<Preferences>) =>
    desta.put('/api/preferences').send({ ...was, ...change, was });
  const was = await read();
  const answers = await Promise.all([save(was, { newsSeen: 3 }), save(was, { sendingWait: 60 })]);
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 412]);
  expect(answers.find(({ status }) => status === 412)!.body).toMatchObject({ code: 'moved-on' });
  const saved = await read();
  expect([saved.newsSeen, saved.sendingWait].filter((one) => one !== undefined)).toHaveLength(1);
  expect(saved).not.toHaveProperty('was');
  await save(saved, { newsSeen: 4, sendingWait: 61 }).expect(200);
  expect(await read()).toEqual({ ...was, newsSeen: 4, sendingWait: 61 });
});

test('all letters of its terms count until its keeper says which', async () => {
  const own = await make(ruan);
  expect(own.letters).toEqual(['beginning', 'initials', 'consonants']);
  const put = (letters: unknown) =>
    ruan
      .put(`/api/glossaries/${own.id}`)
      .set('If-Match', `"${own.version}"`)
      .send({ ...settings, letters });
  await put(['endings']).expect(422);
  await put(['initials', 'initials', 'initials', 'initials']).expect(422);
  await put([]).expect(200);
  expect((await list(imke)).find(({ id }) => id === own.id)).toMatchObject({ letters: [], version: 2 });
});
