import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { CaseSummary, Draft, FoundCase } from '#contracts';
import { plainPassage } from '#core/passage';
import { problem } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { wordsAround } from './findCases';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  odile = await server.as('odile');
  await write(imke, 'swan-keel', `${'Quiet. '.repeat(40)}The line was cut at dusk, 100% sure.`);
  await write(odile, 'hedgehog-bramble', 'Odile alone knows of the lantern.');
});
afterAll(() => server.close());

async function write(caller: Caller, of: string, words: string): Promise<Draft> {
  const draft = (await caller.post(`/api/cases/${of}/drafts`).expect(200)).body as Draft;
  const document = { ...plainPassage(words), attrs: { placements: {} } };
  const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  return (await saving.send({ document }).expect(200)).body as Draft;
}
const find = async (caller: Caller, words: string) =>
  (await caller.post('/api/cases/found').send({ words }).expect(200)).body as FoundCase[];
const ids = async (caller: Caller, words: string) => (await find(caller, words)).map(({ id }) => id);

test.each([
  ['a title, whatever its case', 'KEEL', ['swan-keel']],
  ['a number', 'HH-1186', ['hedgehog-bramble']],
  ['a detail of the record', 'pen 6', ['hedgehog-bramble']],
  ['words far into what was written', 'cut dusk', ['swan-keel']],
  ['one word of the case and one of the leaf', 'keel dusk', ['swan-keel']],
  ['a sign that is none of a pattern', '100%', ['swan-keel']],
  ['what is nowhere', 'zebra', []],
  ['a sign that would be any word', '%zebra', []],
  ['words of which one is nowhere', 'keel zebra', []],
])('a case is found by %s', async (_, words, expected) => {
  expect(await ids(imke, words)).toEqual(expected);
});

test('the leaf that has the words is told, with what stands around them', async () => {
  const [found] = await find(imke, 'dusk');
  expect(found!.leaf!.around).toMatch(/^… .*The line was cut at dusk, 100% sure\.$/);
  const draft = (await imke.get(`/api/drafts/${found!.leaf!.id}`).expect(200)).body as Draft;
  expect(draft.case).toBe('swan-keel');
  expect((await find(imke, 'HH-1186'))[0]!.leaf).toBeNull();
});

test('what others wrote, and cases that were not given, are not found; a closed one is', async () => {
  expect(await ids(imke, 'lantern')).toEqual([]);
  expect(await ids(odile, 'lantern')).toEqual(['hedgehog-bramble']);
  const ruan = await server.as('ruan');
  expect(await ids(ruan, 'Keel')).toEqual([]);
  await odile.post('/api/cases/hedgehog-bramble/changes').send({ do: 'close' }).expect(200);
  expect(await find(odile, 'lantern')).toMatchObject([{ id: 'hedgehog-bramble', closed: true }]);
});

test('words of a deleted leaf are found no more; nor are none', async () => {
  const made = { ...{ id: randomUUID(), kind: 'leaf', title: 'X', number: null }, details: [], given: [] };
  const one = (await imke.post('/api/cases').send(made).expect(201)).body as CaseSummary;
  const draft = await write(imke, one.id, 'Of the osprey.');
  expect(await ids(imke, 'osprey')).toEqual([one.id]);
  await imke.delete(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`).expect(200);
  expect(await ids(imke, 'osprey')).toEqual([]);
  expect(problem(await imke.post('/api/cases/found').send({ words: '  ' })).code).toBe('not-valid');
});

test('what stands around is a line, cut at its ends', () => {
  expect(wordsAround('One\n\ntwo three', ['TWO'])).toBe('One two three');
  expect(wordsAround('none of these', ['x'])).toBe('none of these');
  expect(wordsAround(`owl ${'and an owl '.repeat(20)}sang`, ['owl', 'SANG'])).toMatch(/^… .* sang$/);
  expect(wordsAround(`${'a'.repeat(100)} here ${'b'.repeat(100)}`, ['here'])).toMatch(/^… a+ here b+ …$/);
});
