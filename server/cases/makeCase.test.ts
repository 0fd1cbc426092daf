import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Case, CaseSummary, Draft } from '#contracts';
import { plainPassage, plainText } from '#core/passage';
import { problem } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let desta: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, desta] = (await Promise.all(['imke', 'odile', 'desta'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

const asked = (over: object = {}) => ({
  id: randomUUID(),
  kind: 'reply',
  title: 'Owl in the chimney',
  number: null,
  details: [],
  given: [],
  ...over,
});
const make = (caller: Caller, body: object) => caller.post('/api/cases').send(body);
const desk = async (caller: Caller) => (await caller.get('/api/cases').expect(200)).body as CaseSummary[];

test('a case begun by hand is on the desk of all it is given to, and on nobody else’s; its details say who wrote them', async () => {
  const details = [
    { path: 'customer', value: { kind: 'text', text: 'Petra Lindow' } },
    { path: 'date', value: { kind: 'date', date: '2026-11-20' } },
  ];
  const made = (await make(imke, asked({ number: 'HL-9', details, given: ['odile'] })).expect(201))
    .body as CaseSummary;
  expect(made).toMatchObject({ kind: 'reply', title: 'Owl in the chimney', number: 'HL-9', draft: null });
  const { record } = (await odile.get(`/api/cases/${made.id}`).expect(200)).body as Case;
  expect(record.details).toEqual(
    details.map((detail) => ({
      ...detail,
      source: 'Written by Imke Tarrow',
      asOf: '2026-11-24',
      byHand: true,
    })),
  );
  expect((await desk(odile)).map(({ id }) => id)).toContain(made.id);
  expect((await desk(desta)).map(({ id }) => id)).not.toContain(made.id);
  await desta.get(`/api/cases/${made.id}`).expect(404);
});

test('sent again it is made once, whatever was written in it meanwhile; to others its id is nothing', async () => {
  const body = asked();
  await make(imke, body).expect(201);
  const draft = (await imke.post(`/api/cases/${body.id}/drafts`).expect(200)).body as Draft;
  const again = (await make(imke, body).expect(201)).body as CaseSummary;
  expect(again).toMatchObject({ id: body.id, draft: { savedAt: draft.savedAt } });
  expect((await desk(imke)).filter(({ id }) => id === body.id)).toHaveLength(1);
  expect(problem(await make(desta, body)).code).toBe('not-found');
  expect((await desk(desta)).map(({ id }) => id)).not.toContain(body.id);
});

test('a leaf needs no title: it is called by what is written on it', async () => {
  const body = asked({ kind: 'leaf', title: '' });
  expect((await make(imke, body).expect(201)).body).toMatchObject({ title: 'A new leaf' });
  const draft = (await imke.post(`/api/cases/${body.id}/drafts`)).body as Draft;
  const text = { type: 'text', text: 'Rang the vet. She comes at noon.' };
  const document = { ...draft.document, content: [{ type: 'paragraph', content: [text] }] };
  await imke.put(`/api/drafts/${draft.id}`).set('If-Match', '"1"').send({ document }).expect(200);
  expect((await imke.get(`/api/cases/${body.id}`)).body).toMatchObject({ title: 'Rang the vet' });
  expect((await desk(imke)).find(({ id }) => id === body.id)!.title).toBe('Rang the vet');
});

test.each([
  ['no title', { title: '  ' }, 'give it a title'],
  ['a title of 201 letters', { title: 'x'.repeat(201) }, '200 characters'],
  ['a kind that there is not', { kind: 'batch-of-2030' }, 'expected one of'],
  [
    'a detail that there is not',
    { details: [{ path: 'shoe', value: { kind: 'text', text: '9' } }] },
    'expected',
  ],
  [
    'a detail twice',
    { details: Array(2).fill({ path: 'name', value: { kind: 'text', text: 'Moth' } }) },
    'given once',
  ],
  ['somebody who is not of the team', { given: ['nobody'] }, 'not in your team'],
])('%s is told, and no case is made', async (_what, over, said) => {
  const body = asked(over);
  const answer = await make(imke, body).expect(422);
  expect(JSON.stringify(problem(answer))).toContain(said);
  await imke.get(`/api/cases/${body.id}`).expect(404);
});

test('begun with a document, its first leaf has it; sent again it is one case with one leaf', async () => {
  const document = { ...plainPassage('Two bitterns were heard.'), attrs: { placements: {} } };
  const body = {
    ...{ id: randomUUID(), kind: 'leaf', title: 'Survey', number: null, details: [], given: ['odile'] },
    document,
  };
  for (let sent = 0; sent < 2; sent += 1) {
    const made = (await imke.post('/api/cases').send(body).expect(201)).body as CaseSummary;
    expect(made).toMatchObject({ unfinished: 1, draft: { excerpt: 'Two bitterns were heard.' } });
  }
  const draft = (await imke.post(`/api/cases/${body.id}/drafts`).expect(200)).body as Draft;
  expect(plainText(draft.document)).toBe('Two bitterns were heard.');
  // It is on the leaf of who began it, and on nobody else's.
  const hers = (await odile.post(`/api/cases/${body.id}/drafts`).expect(200)).body as Draft;
  expect(plainText(hers.document)).toBe('');
  const bad = { ...body, id: randomUUID(), document: { type: 'doc', content: [{ type: 'script' }] } };
  expect(problem(await imke.post('/api/cases').send(bad)).code).toBe('not-valid');
  expect((await imke.get(`/api/cases/${bad.id}`)).status).toBe(404);
});
