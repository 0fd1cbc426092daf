import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import type { Draft, Entry } from '#contracts';
import { emptyDraft } from '#core/draft';
import { changing, keep, problem, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
});
afterAll(() => server.close());

const nobody = () => supertest(server.app);

describe('what no store takes is refused, and never an error of ours', () => {
  test.each(['a\u0000b', 'half \ud800 of a sign', '\udc00'])('in a text: %j', async (text) => {
    for (const body of [
      wording(text, 'x'),
      { ...wording('x', 'y'), tags: [text] },
      { ...wording('x', 'y'), [text]: 1 },
    ])
      expect(problem(await keep(imke, 'ward', body).expect(422))).toMatchObject({ code: 'not-valid' });
    await imke.put('/api/own').send({ name: text, job: '', phone: '' }).expect(422);
    await nobody().post('/api/session/demo').send({ member: text }).expect(422);
  });

  test('in an address', async () => {
    for (const at of [
      'entries/%00',
      'entries/a%00b/revisions',
      'drafts/%00',
      'cases/%00',
      'glossaries/%00/terms/1',
    ])
      await imke.get(`/api/${at}`).expect(404);
    await imke.delete('/api/presences/%00').expect(404);
  });

  test('numbers and days that it cannot hold', async () => {
    await imke
      .post('/api/bank/changes')
      .send({ had: { ward: 2 ** 31 } })
      .expect(422);
    await imke
      .post('/api/collections/ward/changes')
      .send({ had: 2 ** 31 })
      .expect(422);
    const entry = (await keep(imke, 'ward', wording('Numbers', 'x'))).body as Entry;
    const varies = { entry: entry.id, revision: 2 ** 40 };
    await imke
      .post('/api/entries')
      .send({ collection: 'own-imke', content: wording('x', 'y'), varies })
      .expect(422);
    for (const day of ['0000-01-01', '9999-12-31'])
      await imke
        .post('/api/practice')
        .send({ day, answers: [{ entry: entry.id, known: true }] })
        .expect(422);
    await imke
      .post('/api/trail')
      .send({ about: null, by: null, from: '0000-01-01T00:00:00Z', until: null, before: null })
      .expect(422);
  });

  test('words that are too long or too many for what is searched by', async () => {
    await imke
      .post('/api/bank/nearest')
      .send({ text: 'a'.repeat(3000) })
      .expect(200);
    await imke
      .post('/api/order/ignored')
      .send({ key: 'é'.repeat(500), ignored: true })
      .expect(204);
    // 21,000 different words of sixty letters: more than a megabyte of them.
    const content = wording('Many words', 'x');
    const wordings = Array.from({ length: 7 }, (_, number) => {
      const words = Array.from({ length: 3000 }, (__, at) => `w${number}x${at}`.padEnd(60, 'ö')).join(' ');
      return { ...wording('x', words).wordings[0]!, id: `w${number}`, name: `W${number}` };
    });
    await keep(imke, 'ward', { ...content, wordings }).expect(201);
  });

  test('names that every object has, as ids', async () => {
    const { id, version } = (await imke.post('/api/cases/swan-keel/drafts')).body as Draft;
    for (const placement of ['constructor', 'toString', '__proto__']) {
      const blank = { type: 'blank', attrs: { field: 'f', placement, state: 'gap' } };
      const document = { ...emptyDraft(), content: [{ type: 'paragraph', content: [blank] }] };
      await imke.put(`/api/drafts/${id}`).set('If-Match', `"${version}"`).send({ document }).expect(422);
    }
  });

  test('a language that no program of languages knows', async () => {
    for (const language of ['en_GB', 'not a language', '123']) {
      const content = wording('x', 'y');
      const poisoned = { ...content, wordings: [{ ...content.wordings[0]!, language }] };
      await keep(imke, 'ward', poisoned).expect(422);
    }
  });

  test('one entry named twice is told as what it is', async () => {
    const entry = (await keep(imke, 'ward', wording('Twice', 'x'))).body as Entry;
    const change = { entry: entry.id, revision: 1, content: entry.content };
    const answer = await changing(imke, [change, change]);
    expect(problem(answer).detail).toContain('named twice');
  });
});

describe('what costs time', () => {
  test('who is not signed in may send little, and is told before it is read', async () => {
    const brackets = '['.repeat(40_000) + ']'.repeat(40_000);
    const post = (path: string) => nobody().post(path).set('Content-Type', 'application/json').send(brackets);
    expect((await post('/api/session')).status).toBe(413);
    expect((await post('/api/nothing')).status).toBe(404);
    expect((await post('/api/entries')).status).toBe(401);
    const deep = await imke.post('/api/entries').set('Content-Type', 'application/json').send(brackets);
    expect(deep.status).toBe(422);
    expect(problem(deep).detail).toContain('levels deep');
  });

  test('of a million faults a hundred are told', async () => {
    const had = Object.fromEntries(Array.from({ length: 5000 }, (_, at) => [`c${at}`, -1]));
    const { faults } = problem(await imke.post('/api/bank/changes').send({ had }).expect(422));
    expect(faults).toHaveLength(100);
  });

  test('the description of the API is made once', async () => {
    const [one, two] = [await nobody().get('/api/openapi.json'), await nobody().get('/api/openapi.json')];
    expect((one.body as { openapi: string }).openapi).toMatch(/^3\.1/);
    expect(two.text).toBe(one.text);
  });
});

describe('uses', () => {
  const tell = (list: string, over: object = {}) =>
    imke.post('/api/uses').send({
      day: '2026-11-24',
      kind: 'admission',
      uses: [{ source: 'entry', list, term: '', times: 1000, shown: 1_000_000, pressed: 0, ...over }],
      ...('day' in over ? { day: over.day } : {}),
    });

  test('however many are told, the report goes on; not of what one does not see, nor of another age', async () => {
    const entry = (await keep(imke, 'ward', wording('Used much', 'x'))).body as Entry;
    for (let at = 0; at < 4; at += 1)
      await server.context.db.execute(
        `insert into uses (member, source, list, term, kind, day, times, shown, pressed)
         values ('odile', 'entry', '${entry.id}', '', 'k${at}', '2026-11-2${at}', 2147483647, 2147483647, 0)`,
      );
    await tell(entry.id).expect(204);
    await server.context.db.execute(`update uses set times = 2147483647 where member = 'imke'`);
    await tell(entry.id).expect(204);
    for (const at of ['usage', 'usage/entries', 'uses']) await imke.get(`/api/${at}`).expect(200);
    await tell(entry.id, { times: 1001 }).expect(422);
    await tell(entry.id, { day: '2026-01-01' }).expect(422);
    const hidden = (await keep(await server.as('desta'), 'own-desta', wording('Hers', 'x'))).body as Entry;
    await tell(hidden.id).expect(204);
    const found = await server.context.db.execute(`select * from uses where list = '${hidden.id}'`);
    expect(found).toMatchObject({ rows: [] });
  });
});
