import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Alike, Entry, Note, RevisionSummary } from '#contracts';
import type { EntryContent } from '#core/entry';
import { changing, keep, keptEntry, problem, wording } from '../testing/entryCalls';
import { longAnswer } from '../testing/longAnswer';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let desta: Caller;
let anouk: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, desta, anouk] = await Promise.all([server.as('imke'), server.as('desta'), server.as('anouk')]);
});
afterAll(() => server.close());

const alike = (who: Caller, least = 0.8) => longAnswer<Alike>(who, 'alike', { least });
const titlesOf = ({ groups }: Alike) =>
  groups.map((group) => group.entries.map(({ content }) => content.title).sort());

const SAID =
  'The seal pup was weighed and given warm fluids by tube, and slept through the night in pen four';

describe('entries that say nearly the same', () => {
  test('are told in groups, with how often each is used, to those who see them; not variations, nor what is out of use', async () => {
    const one = await keptEntry(imke, 'ward', 'Seal pup, night', `${SAID}.`);
    await keptEntry(imke, 'ward', 'Seal pup at night', `${SAID.replace('pen four', 'pen 12')}, Bramble.`);
    await keptEntry(desta, 'own-desta', 'My seal', SAID.toUpperCase());
    const old = await keptEntry(imke, 'ward', 'Old seal', SAID);
    const varying = { collection: 'own-imke', varies: { entry: one.id, revision: 1 }, reason: '' };
    await imke
      .post('/api/entries')
      .send({ ...varying, content: wording('Mine', SAID) })
      .expect(201);
    const retired: EntryContent = { ...old.content, retired: true };
    await imke
      .put(`/api/entries/${old.id}`)
      .set('If-Match', '"1"')
      .send({ content: retired, reason: '' })
      .expect(200);
    const both = ['Seal pup at night', 'Seal pup, night'];
    expect(titlesOf(await alike(imke))).toContainEqual(both);
    expect(titlesOf(await alike(anouk))).toContainEqual(both);
    expect(titlesOf(await alike(desta))).toContainEqual(['My seal', ...both]);
    expect((await alike(imke)).uses[one.id]).toBeUndefined();
    expect(problem(await imke.post('/api/order/alike').send({ least: 0.1 })).code).toBe('not-valid');
  });
});

describe('merging', () => {
  const at = ({ id, revision }: Entry) => ({ entry: id, revision });
  const merge = (who: Caller, into: Entry, content: EntryContent, others: Entry[]) =>
    who
      .post('/api/entries/merged')
      .send({ into: { ...at(into), content, reason: 'One is enough' }, entries: others.map(at) });

  test('cues, notes, history and what holds it follow; bringing back undoes it', async () => {
    const left = await keptEntry(imke, 'ward', 'Left', 'Words that stay.', 'mrga');
    const gone = await keptEntry(imke, 'ward', 'Gone', 'Words that go.', 'mrgb');
    const holder = wording('Holder', 'x');
    holder.wordings[0]!.parts[0]!.passage.content.push({
      type: 'paragraph',
      content: [{ type: 'include', attrs: { entry: gone.id } }],
    });
    const held = (await keep(imke, 'ward', holder).expect(201)).body as Entry;
    const note = (await anouk.post(`/api/entries/${gone.id}/notes`).send({ text: 'Twice?' }).expect(201))
      .body as Note;
    const content = { ...left.content, cues: [...left.content.cues, ...gone.content.cues] };
    const { entry, deletion } = (await merge(imke, left, content, [gone]).expect(200)).body as {
      entry: Entry;
      deletion: string;
    };
    expect(entry).toMatchObject({ revision: 2, reason: 'One is enough', merged: [gone.id] });
    expect(entry.content.cues.map(({ text }) => text)).toEqual(['mrga', 'mrgb']);
    expect((await anouk.get(`/api/entries/${gone.id}`)).status).toBe(404);
    const notes = (await anouk.get('/api/notes').expect(200)).body as Note[];
    expect(notes.find(({ id }) => id === note.id)).toMatchObject({ entry: left.id });
    const holding = (await imke.get(`/api/entries/${held.id}`).expect(200)).body as Entry;
    expect(JSON.stringify(holding.content)).toContain(left.id);
    const before = await anouk.get(`/api/entries/${gone.id}/revisions`).expect(200);
    expect((before.body as RevisionSummary[]).map(({ revision }) => revision)).toEqual([1]);
    expect(
      (await server.as('ruan').then((ruan) => ruan.get(`/api/entries/${gone.id}/revisions`))).status,
    ).toBe(404);

    const changes = [{ ...at(entry), content: left.content }];
    await changing(imke, changes).expect(200);
    const back = await imke.post(`/api/wastebasket/${deletion}/restored`).send({ entries: null }).expect(200);
    expect(back.body).toEqual({ entries: 1, lostCues: [] });
    expect((await imke.get(`/api/entries/${left.id}`)).body).not.toHaveProperty('merged');
    expect(((await anouk.get('/api/notes')).body as Note[]).find(({ id }) => id === note.id)).toMatchObject({
      entry: gone.id,
    });
  });

  test('all or nothing: by keepers alone, of the current revision, never one within the other', async () => {
    const [a, b] = [await keptEntry(imke, 'ward', 'A', 'Aa.'), await keptEntry(imke, 'ward', 'B', 'Bb.')];
    expect(problem(await merge(desta, a, a.content, [b])).code).toBe('not-allowed');
    expect(problem(await merge(await server.as('ruan'), a, a.content, [b])).code).toBe('not-found');
    expect(problem(await merge(imke, a, a.content, [{ ...b, revision: 2 }])).code).toBe('moved-on');
    expect(problem(await merge(imke, { ...a, revision: 7 }, a.content, [b])).code).toBe('moved-on');
    expect(problem(await merge(imke, a, a.content, [a])).code).toBe('not-valid');
    expect((await imke.get(`/api/entries/${b.id}`)).body).toMatchObject({ revision: 1 });
  });
});
