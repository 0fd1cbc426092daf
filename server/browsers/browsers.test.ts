import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import { pathFor, ROUTES, type Route, type RouteName } from '#contracts';
import { browserCodes, sessions } from '../db';
import { keep, problem, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
beforeEach(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
});
afterEach(() => server.close());

const ORIGIN = 'chrome-extension://abcdefghijklmnopabcdefghijklmnop';
const codeOf = async (caller = imke) =>
  ((await caller.post('/api/own/browsers').expect(201)).body as { code: string }).code;
const join = (code: string, name = 'Desk') =>
  supertest(server.app).post('/api/browsers').set('Origin', ORIGIN).send({ code, name });
const joined = async (name?: string) =>
  ((await join(await codeOf(), name).expect(201)).body as { token: string }).token;
const called = (token: string, method: Route['method'], path: string) =>
  supertest(server.app)[method](path).set('Origin', ORIGIN).set('Authorization', `Bearer ${token}`);
const seen = async () =>
  (await imke.get('/api/own/sessions').expect(200)).body as {
    id: string;
    companion: boolean;
    name: string;
  }[];

describe('joining a browser', () => {
  test('by a code once, as it is typed: of two at once one is joined, and nothing stored is the code or the token', async () => {
    const code = await codeOf();
    const typed = `${code.slice(0, 5)}-${code.slice(5)} `.toLowerCase();
    const both = await Promise.all([join(typed), join(typed)]);
    expect(both.map(({ status }) => status).sort()).toEqual([201, 410]);
    const { token, member } = both.find(({ status }) => status === 201)!.body as Record<string, string>;
    expect(member).toBe('Imke Tarrow');
    const stored = JSON.stringify(await server.context.db.select().from(sessions));
    expect(stored).not.toContain(token);
    expect(await server.context.db.select().from(browserCodes)).toEqual([]);
  });

  test('a code ends after ten minutes, and when another one is made', async () => {
    const first = await codeOf();
    const second = await codeOf();
    await join(first).expect(410);
    server.context.now = () => new Date(Date.now() + 11 * 60_000);
    const late = await join(second).expect(410);
    expect(problem(late).detail).toContain('Make a new one');
  });

  test.each([['ABC'], [''], ['ABCDEFGHJKM']])('a code of another length, %j, is refused', async (code) => {
    await join(code).expect(422);
  });

  test('is told in the trail, and seen, named and ended on the account', async () => {
    const token = await joined('Ward computer');
    const all = await seen();
    expect(all.map(({ companion, name }) => [companion, name])).toEqual(
      expect.arrayContaining([
        [false, ''],
        [true, 'Ward computer'],
      ]),
    );
    const { id } = all.find(({ companion }) => companion)!;
    await imke.put(`/api/own/sessions/${id}`).send({ name: 'Bay 2' }).expect(204);
    expect((await seen()).map(({ name }) => name)).toContain('Bay 2');
    const asked = { about: 'people', by: null, from: null, until: null, before: null };
    const trail = (await imke.post('/api/trail').send(asked).expect(200)).body as { lines: object[] };
    expect(trail.lines[0]).toMatchObject({ act: 'browser-joined', detail: 'Ward computer' });
    await called(token, 'get', '/api/bank').expect(200);
    await imke.delete(`/api/own/sessions/${id}`).expect(204);
    await called(token, 'get', '/api/bank').expect(401);
  });

  test('a name of somebody else’s session changes nothing', async () => {
    await joined();
    const { id } = (await seen()).find(({ companion }) => companion)!;
    const odile = await server.as('odile');
    await odile.put(`/api/own/sessions/${id}`).send({ name: 'Mine' }).expect(404);
    expect((await seen()).map(({ name }) => name)).toContain('Desk');
  });
});

describe('the token of a companion', () => {
  test('reads the bank and what changed in it, with the writer and what the team leaves alone', async () => {
    const token = await joined();
    await imke
      .put('/api/settings')
      .send({ leftAlone: ['*.Purse.example'] })
      .expect(200);
    const beginning = (await called(token, 'get', '/api/browsers/this').expect(200)).body as object;
    expect(beginning).toMatchObject({ member: { id: 'imke' }, leftAlone: ['*.purse.example'] });
    const bank = (await called(token, 'get', '/api/bank').expect(200)).body as {
      collections: { id: string; changes: number }[];
    };
    const had = Object.fromEntries(bank.collections.map(({ id, changes }) => [id, changes]));
    await keep(imke, 'ward', wording('New here', 'Words.')).expect(201);
    const next = (await called(token, 'post', '/api/bank/changes').send({ had }).expect(200)).body as {
      entries: { content: { title: string } }[];
    };
    expect(next.entries.map(({ content }) => content.title)).toEqual(['New here']);
  });

  test('is told where details stand on pages, as an owner has shown; others cannot', async () => {
    const token = await joined();
    const card = { host: 'records.example', places: [{ path: 'name', at: '#patient' }] };
    await (
      await server.as('odile')
    )
      .put('/api/settings')
      .send({ pageCards: [card] })
      .expect(403);
    await imke
      .put('/api/settings')
      .send({ pageCards: [card] })
      .expect(200);
    const beginning = (await called(token, 'get', '/api/browsers/this').expect(200)).body as object;
    expect(beginning).toMatchObject({ pageCards: [card] });
    const twice = { ...card, places: [card.places[0], { path: 'name', at: '#other' }] };
    const wrong = [
      { ...card, host: 'https://records.example/' },
      { ...card, places: [] },
      { ...card, places: [{ path: 'weight', at: '#weight' }] },
      twice,
    ];
    for (const one of wrong)
      await imke
        .put('/api/settings')
        .send({ pageCards: [one] })
        .expect(422);
  });

  test('reads a file that goes along with an entry its member sees, and none of another’s', async () => {
    const token = await joined();
    const withFile = async (who: typeof imke, collection: string) => {
      const sent = await who
        .post('/api/files')
        .set({ 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': 'first.txt' })
        .send(Buffer.from('Keep it warm.'));
      const file = sent.body as { hash: string };
      const kept = await keep(who, collection, { ...wording('With a file', 'See it.'), files: [file] });
      expect(kept.status).toBe(201);
      return `/api/entries/${(kept.body as { id: string }).id}/files/${file.hash}`;
    };
    const read = await called(token, 'get', await withFile(imke, 'ward')).expect(200);
    expect(read.text).toBe('Keep it warm.');
    const odile = await server.as('odile');
    await called(token, 'get', await withFile(odile, 'own-odile')).expect(404);
  });

  test('counts uses from another origin, which a page cannot', async () => {
    const token = await joined();
    const entry = (await keep(imke, 'ward', wording('Used', 'Words.'))).body as { id: string };
    const use = { source: 'entry', list: entry.id, term: '', times: 1, shown: 6, pressed: 3 };
    const told = { day: '2026-11-24', kind: 'leaf', uses: [use] };
    await called(token, 'post', '/api/uses').send(told).expect(204);
    const own = (await imke.get('/api/uses').expect(200)).body as { used: { list: string }[] };
    expect(own.used.map(({ list }) => list)).toContain(entry.id);
    const page = await imke.post('/api/uses').set('Origin', 'https://elsewhere.example').send(told);
    expect(problem(page).code).toBe('wrong-origin');
  });

  const others = (Object.keys(ROUTES) as RouteName[]).filter((name) => {
    const route: Route = ROUTES[name];
    return route.access !== 'anyone' && !route.forCompanion;
  });

  test('does nothing else: each of the other routes takes it for nobody’s', async () => {
    const token = await joined();
    expect(others.length).toBeGreaterThan(150);
    for (const name of others) {
      const path = pathFor(name, new Proxy({}, { get: () => 'ward' }) as never);
      const { status } = await called(token, ROUTES[name].method, path);
      expect(`${name} ${status}`).toBe(`${name} 401`);
    }
  });

  test('is no cookie, and a cookie is no token', async () => {
    const token = await joined();
    await supertest(server.app).get('/api/bank').set('Cookie', `elderleaf_session=${token}`).expect(401);
    const cookie = (await imke.get('/api/session')).request as unknown as { cookies?: string };
    const session = /elderleaf_session=([^;]+)/.exec(String(cookie.cookies))?.[1];
    expect(session).toBeDefined();
    await called(session!, 'get', '/api/bank').expect(401);
  });

  test('ends when it is left, after ninety days without use, and with a new password', async () => {
    const token = await joined();
    await called(token, 'delete', '/api/browsers/this').expect(204);
    await called(token, 'get', '/api/bank').expect(401);
    const used = await joined('Used');
    const at = (days: number) => new Date(Date.now() + days * 86_400_000);
    server.context.now = () => at(80);
    await called(used, 'get', '/api/bank').expect(200);
    server.context.now = () => at(160);
    await called(used, 'get', '/api/bank').expect(200);
    server.context.now = () => at(251);
    await called(used, 'get', '/api/bank').expect(401);
  });

  test('pages that are named amiss are refused, each told', async () => {
    for (const page of ['https://bank.example/path', 'a b', '*', ''])
      await imke
        .put('/api/settings')
        .send({ leftAlone: [page] })
        .expect(422);
  });
});
