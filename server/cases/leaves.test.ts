import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Case, CaseSummary, Draft, Problem } from '#contracts';
import { plainPassage, plainText } from '#core/passage';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  odile = await server.as('odile');
});
afterAll(() => server.close());

const SWAN = '/api/cases/swan-keel';
const open = async (caller: Caller) => (await caller.post(`${SWAN}/drafts`).expect(200)).body as Draft;
const another = (copyOf: string | null, id: string = randomUUID(), at = SWAN) => ({
  at: `${at}/drafts/new`,
  body: { id, title: '', copyOf, today: '2026-11-27' },
});
const begin = async (caller: Caller, copyOf: string | null) => {
  const { at, body } = another(copyOf);
  return (await caller.post(at).send(body).expect(201)).body as Draft;
};
const write = async (caller: Caller, draft: Draft, words: string) => {
  const document = { ...plainPassage(words), attrs: { placements: {} } };
  const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  return (await saving.send({ document }).expect(200)).body as Draft;
};
const onDesk = async (caller: Caller) =>
  ((await caller.get('/api/cases')).body as CaseSummary[]).find(({ id }) => id === 'swan-keel')!;

test('a case has several leaves of one member; the desk tells of the unfinished one, and how many there are', async () => {
  const first = await write(imke, await open(imke), 'Came in with line around the bill.');
  await imke.post(`/api/drafts/${first.id}/finish`).set('If-Match', `"${first.version}"`).expect(200);
  const second = await write(imke, await begin(imke, null), 'Line taken off under sedation.');
  expect(second.id).not.toBe(first.id);
  expect(await onDesk(imke)).toMatchObject({
    unfinished: 1,
    finished: 1,
    draft: { state: 'open', excerpt: 'Line taken off under sedation.' },
  });
  expect((await open(imke)).id).toBe(second.id);
  const { drafts } = (await imke.get(SWAN)).body as Case;
  expect(drafts.map(({ id, state }) => [id, state])).toEqual([
    [second.id, 'open'],
    [first.id, 'finished'],
  ]);
  // To others they do not exist.
  await odile.get(`/api/drafts/${second.id}`).expect(404);
  expect(await onDesk(odile)).toMatchObject({ unfinished: 0, finished: 0, draft: null });
});

test('a copy has the words of the one it is of, which stays as it is; sent again it is begun once', async () => {
  const source = await write(odile, await open(odile), 'Eating well.');
  const { at, body } = another(source.id);
  const copy = (await odile.post(at).send(body).expect(201)).body as Draft;
  const again = (await odile.post(at).send(body).expect(201)).body as Draft;
  expect([plainText(copy.document), copy.excerpt, again.id]).toEqual([
    'Eating well.',
    'Eating well.',
    copy.id,
  ]);
  await write(odile, copy, 'Eating well. Swims.');
  expect(plainText(((await odile.get(`/api/drafts/${source.id}`)).body as Draft).document)).toBe(
    'Eating well.',
  );
  expect(await onDesk(odile)).toMatchObject({ unfinished: 2, finished: 0 });
});

test('nobody begins one as a copy of another’s, or of another case’s, or by the id of another draft', async () => {
  const hers = await open(odile);
  const otherCase = (await imke.post('/api/cases/hedgehog-bramble/drafts')).body as Draft;
  for (const copyOf of [hers.id, otherCase.id, 'nothing']) {
    const { at, body } = another(copyOf);
    await imke.post(at).send(body).expect(404);
  }
  const { at, body } = another(null, randomUUID(), '/api/cases/hedgehog-bramble');
  const begun = (await imke.post(at).send(body).expect(201)).body as Draft;
  await imke.post(another(null, begun.id).at).send(another(null, begun.id).body).expect(404);
  await odile.post(another(null, begun.id).at).send(another(null, begun.id).body).expect(404);
});

test('two windows that open a case for the first time have one leaf', async () => {
  const desta = await server.as('desta');
  const made = (
    await desta.post('/api/cases').send({
      ...{ id: randomUUID(), kind: 'leaf', title: 'A letter', number: null, details: [], given: [] },
    })
  ).body as CaseSummary;
  const ids = await Promise.all(
    [1, 2, 3].map(async () => ((await desta.post(`/api/cases/${made.id}/drafts`)).body as Draft).id),
  );
  expect(new Set(ids).size).toBe(1);
});

test('a leaf is called as its author says, a finished one too; left empty, by what is written on it', async () => {
  const draft = await begin(imke, null);
  const name = (title: string) => imke.put(`/api/drafts/${draft.id}/title`).send({ title });
  expect(((await name('  Discharge  ').expect(200)).body as Draft).title).toBe('Discharge');
  const { drafts } = (await imke.get(SWAN)).body as Case;
  expect(drafts.find(({ id }) => id === draft.id)).toMatchObject({ title: 'Discharge', version: 1 });
  expect(((await name('x'.repeat(121))).body as Problem).code).toBe('not-valid');
  await odile.put(`/api/drafts/${draft.id}/title`).send({ title: 'Mine' }).expect(404);
  expect(((await name('').expect(200)).body as Draft).title).toBe('');
});

test('what was answered on an earlier leaf of the case is offered on the next, also where it has no number', async () => {
  const ruan = await server.as('ruan');
  const fresh = { kind: 'leaf', title: 'Round', number: null, details: [], given: [] };
  const { id } = (await ruan.post('/api/cases').send({ id: randomUUID(), ...fresh })).body as CaseSummary;
  const first = (await ruan.post(`/api/cases/${id}/drafts`)).body as Draft;
  const placement = {
    ...{ entry: 'handling', revision: 1, title: 'x', cue: null, wording: 'main', language: 'en-GB' },
    fields: [
      {
        ...{ id: 'site', name: 'Site', kind: 'text', question: '', hint: '', required: true, starting: '' },
        offerLast: true,
      },
    ],
    answers: { site: { kind: 'text', text: 'left paw' } },
  };
  const marks = [{ type: 'placed', attrs: { placement: 'p' } }];
  const content = [{ type: 'paragraph', content: [{ type: 'text', text: 'left paw', marks }] }];
  const document = { type: 'doc', attrs: { placements: { p: placement } }, content };
  const saving = ruan.put(`/api/drafts/${first.id}`).set('If-Match', '"1"');
  await saving.send({ document }).expect(200);
  const { at, body } = another(null, randomUUID(), `/api/cases/${id}`);
  const second = (await ruan.post(at).send(body).expect(201)).body as Draft;
  expect((await ruan.get(`/api/drafts/${second.id}/earlier`)).body).toEqual([
    { entry: 'handling', answers: { site: { kind: 'text', text: 'left paw' } } },
  ]);
  expect((await ruan.get(`/api/drafts/${first.id}/earlier`)).body).toEqual([]);
});

test('finished or opened again twice, since the answer to the first was lost, it is done once; another save in between is told', async () => {
  const draft = await write(imke, await begin(imke, null), 'Weighed and fed.');
  const at = (act: string, version: number) =>
    imke.post(`/api/drafts/${draft.id}/${act}`).set('If-Match', `"${version}"`);
  for (const act of ['finish', 'reopen']) {
    const { version } = (await imke.get(`/api/drafts/${draft.id}`)).body as Draft;
    const done = (await at(act, version).expect(200)).body as Draft;
    expect((await at(act, version).expect(200)).body).toEqual(done);
    expect(done.version).toBe(version + 1);
  }
  const { version } = (await imke.get(`/api/drafts/${draft.id}`)).body as Draft;
  await write(imke, { ...draft, version }, 'Weighed, fed and ringed.');
  expect(((await at('finish', version).expect(412)).body as Problem).code).toBe('moved-on');
});
