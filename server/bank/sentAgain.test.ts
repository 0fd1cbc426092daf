import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Bank, Entry, Note, Proposal, RevisionSummary } from '#contracts';
import { changing, deleting, keptEntry, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

/** What is sent a second time, because the connection was lost before the answer to the first came. */

let server: TestServer;
let imke: Caller;
let odile: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = (await Promise.all(['imke', 'odile'].map(server.as))) as [Caller, Caller];
});
afterAll(() => server.close());

const make = (caller: Caller, key: string, content: unknown, more = {}) =>
  caller.post('/api/entries').send({ collection: 'ward', content, reason: '', key, ...more });
const made = async (...asked: Parameters<typeof make>) => (await make(...asked).expect(201)).body as Entry;
const titled = async (title: string) =>
  ((await imke.get('/api/bank').expect(200)).body as Bank).entries.filter(
    ({ content }) => content.title === title,
  );

test('an entry sent again is made once, its cue is not called taken; what was changed before is its next revision', async () => {
  const key = randomUUID();
  const first = await made(imke, key, wording('Weighed', 'It was weighed.', 'wg'));
  expect(await made(imke, key, wording('Weighed', 'It was weighed.', 'wg'))).toEqual(first);
  const changed = await made(imke, key, wording('Weighed', 'It was weighed twice.', 'wg'));
  expect(changed).toMatchObject({ id: first.id, revision: 2 });
  expect(await titled('Weighed')).toEqual([changed]);
  const history = await imke.get(`/api/entries/${first.id}/revisions`).expect(200);
  expect((history.body as RevisionSummary[]).map(({ revision }) => revision)).toEqual([2, 1]);
});

test('the same key of another member, or for another collection, names another entry', async () => {
  const key = randomUUID();
  const content = wording('Ringed', 'It was ringed.');
  const ids = [
    await made(imke, key, content),
    await made(odile, key, content),
    await made(imke, key, content, { collection: 'helpline' }),
  ].map(({ id }) => id);
  expect(new Set(ids).size).toBe(3);
});

test('what somebody has saved meanwhile is told and stays; what was deleted meanwhile is made anew', async () => {
  const key = randomUUID();
  const content = wording('Warmed', 'It was warmed.');
  const first = await made(imke, key, content);
  await saveAs(odile, first.id, 1, wording('Warmed', 'It was warmed slowly.')).expect(200);
  const refused = await make(imke, key, wording('Warmed', 'It was warmed well.'));
  expect(problem(refused)).toMatchObject({ code: 'moved-on', current: { revision: 2, savedBy: 'odile' } });
  expect(problem(await make(imke, key, content)).code).toBe('moved-on');
  await deleting(odile, [first.id]).expect(200);
  expect((await made(imke, key, content)).id).not.toBe(first.id);
});

test('a variation sent again is made once', async () => {
  const shared = await keptEntry(odile, 'ward', 'Fed', 'It was fed.', 'fd');
  const own = ((await imke.get('/api/bank').expect(200)).body as Bank).collections.find((one) => one.own)!.id;
  const varies = { entry: shared.id, revision: 1 };
  const key = randomUUID();
  const content = wording('Fed', 'It ate.', 'fd');
  const first = await made(imke, key, content, { collection: own, varies });
  expect(await made(imke, key, content, { collection: own, varies })).toEqual(first);
});

test('changes of many sent again are done once', async () => {
  const both = [
    await keptEntry(imke, 'ward', 'Splinted', 'It was splinted.'),
    await keptEntry(imke, 'ward', 'Bandaged', 'It was bandaged.'),
  ];
  const changes = both.map(({ id, content }) => ({
    entry: id,
    revision: 1,
    content: { ...content, tags: ['wing'] },
  }));
  const change = () => changing(imke, changes, 'Tagged wing').expect(200);
  const first = (await change()).body as { entries: Entry[] };
  expect(first.entries.map(({ revision }) => revision)).toEqual([2, 2]);
  const second = (await change()).body as { entries: Entry[] };
  expect(new Set(second.entries)).toEqual(new Set(first.entries));
});

test('the same proposal sent again waits once; another beside it waits too', async () => {
  const { id } = await keptEntry(odile, 'ward', 'Hosed', 'It was hosed.');
  const desta = await server.as('desta');
  const propose = async (words: string) => {
    const body = { content: wording('Hosed', words), base: 1, reason: 'Kinder' };
    return ((await desta.post(`/api/entries/${id}/proposals`).send(body).expect(201)).body as Proposal).id;
  };
  const first = await propose('It was washed.');
  expect(await propose('It was washed.')).toBe(first);
  expect(await propose('It was rinsed.')).not.toBe(first);
});

test('a change saved again is answered as before; another change to the same revision is refused', async () => {
  const { id } = await keptEntry(imke, 'ward', 'Seen', 'It was seen.');
  const words = wording('Seen', 'It was seen today.');
  const saved = (await saveAs(imke, id, 1, words).expect(200)).body as Entry;
  expect((await saveAs(imke, id, 1, words).expect(200)).body).toEqual(saved);
  expect(problem(await saveAs(imke, id, 1, wording('Seen', 'It was not seen.'))).code).toBe('moved-on');
  expect(problem(await saveAs(odile, id, 1, words)).code).toBe('moved-on');
});

test('a note and an answer sent again are there once; said anew after another one, or after it was closed, they are new', async () => {
  const { id: entry } = await made(imke, randomUUID(), wording('Noted', 'It was noted.'));
  const noted = async (text: string) =>
    (await odile.post(`/api/entries/${entry}/notes`).send({ text }).expect(201)).body as Note;
  const first = await noted('Out of date.');
  expect((await noted('Out of date.')).id).toBe(first.id);
  expect((await noted('A comma too many.')).id).not.toBe(first.id);
  const said = async (caller: Caller, text: string) => {
    const answer = caller.post(`/api/notes/${first.id}/answers`).send({ text });
    return ((await answer.expect(201)).body as Note).answers.map((one) => one.text);
  };
  await said(imke, 'Where?');
  expect(await said(imke, 'Where?')).toEqual(['Where?']);
  await said(odile, 'In the second line.');
  expect(await said(imke, 'Where?')).toEqual(['Where?', 'In the second line.', 'Where?']);
  await imke.put(`/api/notes/${first.id}`).send({ closed: true }).expect(200);
  expect((await noted('Out of date.')).id).not.toBe(first.id);
});
