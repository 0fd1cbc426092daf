import fs from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import type { Draft, Entry } from '#contracts';
import { keep, problem, saveAs, wording } from './testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from './testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = (await Promise.all(['imke', 'odile'].map(server.as))) as [Caller, Caller];
});
afterAll(() => server.close());

describe('beginning and signing in', () => {
  test('the first visitor becomes the owner, once; a wrong password is refused in words, then slowed', async () => {
    const fresh = await startTestServer({ demo: null });
    try {
      const owner = { name: 'Imke Tarrow', email: 'Imke@Hollin.example', password: 'tide over marsh' };
      const call = supertest.agent(fresh.app);
      expect((await call.get('/api/beginning')).body).toEqual({ ownerNeeded: true, demoMembers: null });
      expect((await call.post('/api/session/demo').send({ member: 'imke' })).status).toBe(404);
      expect(
        problem(await call.post('/api/beginning').send({ ...owner, password: 'short' })).faults?.[0]?.place,
      ).toBe('password');
      const both = await Promise.all([1, 2].map(() => call.post('/api/beginning').send(owner)));
      expect(both.map((response) => response.status).sort()).toEqual([201, 409]);
      const other = supertest.agent(fresh.app);
      await other
        .post('/api/session')
        .send({ email: 'imke@hollin.example', password: owner.password })
        .expect(201);
      await other.delete('/api/session').expect(204);
      await other.get('/api/session').expect(401);
      const wrong = await other.post('/api/session').send({ email: owner.email, password: 'wrong' });
      const unknown = await other
        .post('/api/session')
        .send({ email: 'who@hollin.example', password: 'wrong' });
      expect(wrong.body).toEqual(unknown.body);
      expect(problem(wrong).code).toBe('wrong-password');
      let last = wrong;
      for (let tries = 0; tries < 10; tries += 1)
        last = await other.post('/api/session').send({ email: owner.email, password: 'wrong' });
      expect(problem(last).code).toBe('too-many');
    } finally {
      await fresh.close();
    }
  });

  test('a session that has run out is no session', async () => {
    const caller = await server.as('desta');
    const now = server.context.now;
    server.context.now = () => new Date('2026-12-24T10:00:00Z');
    expect((await caller.get('/api/session')).status).toBe(401);
    server.context.now = now;
  });
});

describe('entries', () => {
  test('a kept entry can be used at once by its readers, and every save is a revision', async () => {
    const made = await keep(imke, 'ward', wording('Pen cleaned', 'The pen was cleaned.', 'pen'));
    const entry = made.body as Entry;
    expect(made.status).toBe(201);
    const saved = await saveAs(
      odile,
      entry.id,
      1,
      wording('Pen cleaned', 'The pen was cleaned and dried.', 'pen'),
    );
    expect((saved.body as Entry).revision).toBe(2);
    const history = (await imke.get(`/api/entries/${entry.id}/revisions`)).body as {
      revision: number;
      savedBy: string;
      reason: string;
    }[];
    expect(history.map(({ revision, savedBy, reason }) => [revision, savedBy, reason])).toEqual([
      [2, 'Odile Brandt', 'why'],
      [1, 'Imke Tarrow', ''],
    ]);
    const first = await imke.get(`/api/entries/${entry.id}/revisions/1`);
    expect(JSON.stringify(first.body)).toContain('The pen was cleaned.');
    expect((await imke.get(`/api/entries/${entry.id}/revisions/9`)).status).toBe(404);
  });

  test('the second of two who save the same revision is told, with what stands there now', async () => {
    const entry = (await keep(imke, 'ward', wording('Two at once', 'Start.'))).body as Entry;
    const saves = await Promise.all(
      [imke, odile].map((caller, index) =>
        saveAs(caller, entry.id, 1, wording('Two at once', `Change ${index}.`)),
      ),
    );
    expect(saves.map((response) => response.status).sort()).toEqual([200, 412]);
    const lost = saves.find((response) => response.status === 412)!;
    const won = saves.find((response) => response.status === 200)!;
    expect(problem(lost).code).toBe('moved-on');
    expect(problem(lost).current).toEqual(won.body);
  });

  test('a taken cue is refused in any case, with its entry named and a free one proposed; also at the same moment', async () => {
    const taken = await keep(imke, 'ward', wording('Another admission', 'x', 'ADM'));
    expect(problem(taken).code).toBe('cue-taken');
    expect(problem(taken).detail).toContain('Hedgehog admission');
    await keep(imke, 'ward', wording('Another admission', 'x', problem(taken).proposed)).expect(201);
    const both = await Promise.all(
      [imke, odile].map((caller) => keep(caller, 'ward', wording('Same moment', 'x', 'same'))),
    );
    expect(both.map((response) => response.status).sort()).toEqual([201, 409]);
  });

  test.each([
    ['an empty wording', wording('Empty', ' '), 'wording'],
    ['no title', wording(' ', 'x'), 'title'],
    ['a blank without a field', wording('Blank', 'Dear {nobody},'), 'nobody'],
    [
      'a link that runs a script',
      {
        ...wording('Link', 'x'),
        wordings: [
          {
            id: 'main',
            name: 'Main',
            language: 'en-GB',
            parts: [
              {
                id: 't',
                name: 'T',
                passage: {
                  type: 'doc',
                  content: [
                    {
                      type: 'paragraph',
                      content: [
                        {
                          type: 'text',
                          text: 'x',
                          marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }],
                        },
                      ],
                    },
                  ],
                },
              },
            ],
          },
        ],
      },
      'link',
    ],
  ])('%s is refused in words', async (_name, content, expected) => {
    const response = await keep(imke, 'ward', content);
    expect(problem(response).code).toBe('not-valid');
    expect(problem(response).detail).toContain(expected);
  });

  test('a body that is too large or no JSON is refused in words', async () => {
    const large = await imke.post('/api/entries').send({ content: 'x'.repeat(20_000_000) });
    expect(problem(large).code).toBe('too-large');
    const torn = await imke.post('/api/entries').set('Content-Type', 'application/json').send('{"content":');
    expect(problem(torn).code).toBe('bad-request');
    const deep = {
      type: 'doc',
      content: [
        JSON.parse(
          '{"type":"blockquote","content":['.repeat(400) + '{"type":"paragraph"}' + ']}'.repeat(400),
        ),
      ],
    };
    const bomb = await keep(imke, 'ward', {
      ...wording('Deep', 'x'),
      wordings: [{ id: 'm', name: 'M', language: 'en', parts: [{ id: 't', name: 'T', passage: deep }] }],
    });
    expect(problem(bomb).detail).toContain('levels deep');
  });
});

describe('cases and drafts', () => {
  const bundle = () =>
    JSON.parse(
      fs.readFileSync(path.join(import.meta.dirname, '../demo/to-drop/otter-tansy.json'), 'utf8'),
    ) as { entry: { resource: Record<string, unknown> }[] };

  test('a dropped Bundle becomes a case of mine; a malformed one says what is wrong and where', async () => {
    const taken = await imke.post('/api/cases/fhir').send(bundle());
    expect(taken.status).toBe(201);
    expect((taken.body as { taken: unknown[] }).taken).toMatchObject([
      { case: { title: 'Tansy, otter' }, isNew: true },
    ]);
    const broken = bundle();
    broken.entry[4]!.resource.valueQuantity = { value: 'heavy' };
    const refused = await imke.post('/api/cases/fhir').send(broken);
    expect(problem(refused).code).toBe('not-fhir');
    expect(problem(refused).faults).toEqual([
      {
        place: 'The file, Bundle.entry[4].resource (Observation).valueQuantity.value',
        message: expect.any(String),
      },
    ]);
  });

  test('a draft is saved, guarded, finished only without gaps, and reopened', async () => {
    const opened = (await odile.post('/api/cases/owl-sorrel/drafts')).body as Draft;
    expect((await odile.post('/api/cases/owl-sorrel/drafts')).body).toEqual(opened);
    const entry = (await odile.get('/api/entries/handling')).body as Entry;
    const gap = {
      type: 'blank',
      attrs: { field: 'f', form: 'as-is', placement: 'p', text: '', state: 'gap', dropped: 'none' },
    };
    const field = {
      id: 'f',
      name: 'Site',
      kind: 'text',
      question: '',
      hint: '',
      required: true,
      starting: '',
    };
    const placement = {
      entry: entry.id,
      revision: 1,
      title: 'x',
      cue: null,
      wording: 'main',
      language: 'en-GB',
      fields: [field],
      answers: {},
    };
    const document = (inline: unknown) => ({
      type: 'doc',
      attrs: { placements: { p: placement } },
      content: [{ type: 'paragraph', content: [inline] }],
    });
    const save = (version: number, inline: unknown) =>
      odile
        .put(`/api/drafts/${opened.id}`)
        .set('If-Match', `"${version}"`)
        .send({ document: document(inline) });
    await save(1, gap).expect(200);
    const unfinished = await odile.post(`/api/drafts/${opened.id}/finish`).set('If-Match', '"2"');
    expect(problem(unfinished).code).toBe('not-finished');
    expect(problem(unfinished).faults).toEqual([{ place: 'Site', message: 'Site' }]);
    expect((await save(1, gap)).body).toMatchObject({ version: 2 });
    expect(problem(await save(1, { type: 'text', text: 'Other window.' })).code).toBe('moved-on');
    await save(2, { type: 'text', text: 'Seen.' }).expect(200);
    await odile.post(`/api/drafts/${opened.id}/finish`).set('If-Match', '"3"').expect(200);
    expect(problem(await save(4, { type: 'text', text: 'More.' })).code).toBe('not-allowed');
    await odile.post(`/api/drafts/${opened.id}/reopen`).set('If-Match', '"4"').expect(200);
    const desk = (await odile.get('/api/cases')).body as { id: string; draft: { excerpt: string } | null }[];
    expect(desk[0]).toMatchObject({ id: 'owl-sorrel', draft: { excerpt: 'Seen.' } });
  });
});

test('logs and error answers hold nothing of what was sent', async () => {
  const lines: string[] = [];
  const { default: pino } = await import('pino');
  const noisy = await startTestServer({
    log: pino({ level: 'trace' }, { write: (line: string) => void lines.push(line) }),
  });
  const call = await noisy.as('imke');
  await call.post('/api/cases/fhir').send(bundleWithName('Zebedee Quill'));
  await noisy.context.db.execute('drop table drafts cascade');
  const failed = await call.post('/api/cases/swan-keel/drafts');
  await noisy.close();
  expect(problem(failed).code).toBe('internal');
  expect(lines.some((line) => line.includes('failed'))).toBe(true);
  expect(lines.join('\n') + JSON.stringify(failed.body)).not.toMatch(/Zebedee|swan-keel|insert into/);
});

const bundleWithName = (name: string) => ({
  resourceType: 'Bundle',
  type: 'collection',
  entry: [{ resource: { resourceType: 'Patient', name: [{ text: name }] } }],
});
