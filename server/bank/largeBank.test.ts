import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import type { Bank, Restored, Entry, Found, Nearest } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry } from '#core/entry';
import { entryWords } from '../db';
import { deleting, deletionIn, moving } from '../testing/entryCalls';
import { bringIn } from '../testing/importCalls';
import { startTestServer, type TestServer } from '../testing/testServer';
import { writeMissingWords } from './entryWords';

let server: TestServer;
let desta: Awaited<ReturnType<TestServer['as']>>;
let imke: typeof desta;
beforeAll(async () => {
  server = await startTestServer({ atHand: 20 });
  desta = await server.as('desta');
  imke = await server.as('imke');
});
afterAll(() => server.close());

const content = (title: string, words: string, cue?: string) => ({
  ...newEntry(title, 'en-GB', {
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text: words }] }],
  }),
  cues: cue ? [{ text: cue }] : [],
});
const keep = async (collection: string, made: ReturnType<typeof content>): Promise<Entry> =>
  (await imke.post('/api/entries').send({ collection, content: made, reason: '' }).expect(201)).body as Entry;
const found = async (who: typeof imke, query: string): Promise<Found> =>
  (await who.post('/api/bank/search').send({ query }).expect(200)).body as Found;
const titles = async (who: typeof imke, query: string) =>
  (await found(who, query)).entries.map((entry) => entry.content.title);

test('search finds by any word, unfinished or misspelt, the head before the rest, and follows every change', async () => {
  const otter = await keep('ward', content('Otter in the bath', 'Café visitors watched it swim.', 'zob'));
  await keep('ward', content('Swimming', 'An otter was seen.'));
  expect(await titles(imke, 'otter')).toEqual(['Otter in the bath', 'Swimming']);
  expect(await titles(imke, 'ott')).toEqual(['Otter in the bath', 'Swimming']);
  expect(await titles(imke, 'oter bath')).toEqual(['Otter in the bath']);
  expect(await titles(imke, ',zob')).toEqual(['Otter in the bath']);
  expect(await titles(imke, 'cafe')).toEqual(['Otter in the bath']);
  for (const nothing of ["otter' | 'x", 'otter walrus', '&', ''])
    expect(await titles(imke, nothing)).toEqual([]);
  await imke
    .put(`/api/entries/${otter.id}`)
    .set('If-Match', '"1"')
    .send({ content: content('Stoat in the bath', 'It dived.'), reason: '' })
    .expect(200);
  expect(await titles(imke, 'otter')).toEqual(['Swimming']);
  // What stands in one's own wording is nobody else's to find, wherever it came from.
  const own = await keep('own-imke', content('Private otter', 'Mine.'));
  expect(await titles(desta, 'private otter')).toEqual([]);
  await moving(imke, [own.id], 'ward').expect(200);
  expect(await titles(desta, 'private otter')).toEqual(['Private otter']);
  await deleting(imke, [own.id]).expect(200);
  expect(await titles(desta, 'private otter')).toEqual([]);
});

test('entries kept before search was there are found once the server has started', async () => {
  await server.context.db.delete(entryWords).where(sql`true`);
  expect(await titles(imke, 'stoat')).toEqual([]);
  await writeMissingWords(server.context.db);
  expect(await titles(imke, 'stoat')).toEqual(['Stoat in the bath']);
});

test('a large bank comes in parts: what is at hand whole, the rest counted, and given when asked for', async () => {
  const bank = (await imke.get('/api/bank').expect(200)).body as Bank;
  const isAway = new Set(bank.away);
  expect(isAway.size).toBeGreaterThan(0);
  expect(bank.away).not.toContain('own-imke');
  expect(bank.entries.filter(({ collection }) => isAway.has(collection))).toEqual([]);
  for (const { id } of bank.collections.filter((one) => !isAway.has(one.id)))
    expect(bank.entries.filter(({ collection }) => collection === id)).toHaveLength(bank.counts[id] ?? 0);
  const [away, other] = bank.away;
  const whole = async (collection: string) =>
    (await imke.post(`/api/collections/${collection}/changes`).send({ had: null }).expect(200)).body as {
      entries: Entry[];
    };
  const given = (await whole(away!)).entries;
  expect(given.map(({ collection }) => collection)).toEqual(Array(bank.counts[away!]).fill(away));
  // From then on it is at hand, and an entry that one was given by itself stays as fresh.
  const isAt = (id: string) => id === away || !isAway.has(id);
  const had = Object.fromEntries(
    bank.collections.flatMap(({ id, changes }) => (isAt(id) ? [[id, changes]] : [])),
  );
  const loose = [(await whole(other!)).entries[0]!.id];
  const next = (await imke.post('/api/bank/changes').send({ had, loose }).expect(200)).body as Bank;
  expect(next.away).toEqual(bank.away.slice(1));
  expect(next.entries.map(({ id }) => id)).toEqual(loose);
  // Switched in for a kind of work, it is at hand from the start.
  const preferences = (await imke.get('/api/preferences').expect(200)).body as { reach: object };
  await imke
    .put('/api/preferences')
    .send({ ...preferences, reach: { note: { in: [away], out: [] } } })
    .expect(200);
  expect(((await imke.get('/api/bank')).body as Bank).away).not.toContain(away);
});

test('what stands within an entry comes with it, wherever it is kept', async () => {
  const inner = await keep('ward', content('Inner', 'Within.'));
  const outer = content('Outer', 'Around.');
  outer.wordings[0]!.parts[0]!.passage.content.push({
    type: 'paragraph',
    content: [{ type: 'include', attrs: { entry: inner.id } }],
  });
  const kept = await keep('own-imke', outer);
  const bank = (await imke.get('/api/bank').expect(200)).body as Bank;
  for (const id of [inner.id, kept.id]) expect(bank.entries.map((entry) => entry.id)).toContain(id);
});

test('what one may not see hides nothing that one may, however much of it has the words', async () => {
  const settings = { leadIn: '', cueRules: DEFAULT_CUE_RULES, kindsOfWork: [], language: 'en-GB' };
  const takeOver = async (who: typeof imke, collections: string[], titled: string[]) => {
    const came = await bringIn(who, {
      collections: collections.map((name) => ({
        ...{ ...settings, cuesBy: 'initials', id: name, name, parent: null },
      })),
      places: {},
      entries: titled.map((title, at) => ({
        ...{ id: `e${at}`, collection: collections.at(-1)!, replaces: null },
        content: content(title, 'Words.'),
      })),
      known: {},
    });
    expect(came.status).toBe(200);
  };
  const many = (count: number, name: string) => Array.from({ length: count }, (_, at) => `${name} ${at}`);
  await takeOver(desta, ['Tides'], many(250, 'Walrus'));
  await takeOver(imke, many(25, 'Shore'), ['Walrus on the slip']);
  expect((await found(desta, 'walrus')).entries).toHaveLength(20);
  expect(await titles(imke, 'walr')).toEqual(['Walrus on the slip']);
});

test('what was deleted hides nothing either, and is found again once it is brought back', async () => {
  const made = await Promise.all(
    Array.from({ length: 210 }, (_, at) => keep('ward', content(`Narwhal ${at}`, 'Words.'))),
  );
  const deleted = await deleting(
    imke,
    made.map(({ id }) => id),
  ).expect(200);
  await keep('ward', content('Narwhal in the bay', 'Words.'));
  expect(await titles(imke, 'narwhal')).toEqual(['Narwhal in the bay']);
  await writeMissingWords(server.context.db);
  expect(await titles(imke, 'narwhal')).toEqual(['Narwhal in the bay']);
  const id = deletionIn(deleted);
  // The last in the order in which they are told, of which only the first are.
  const last = made.reduce((a, b) => (a.id > b.id ? a : b));
  await imke
    .post(`/api/wastebasket/${id}/restored`)
    .send({ entries: [last.id] })
    .expect(200);
  expect((await titles(imke, 'narwhal')).sort()).toEqual([last.content.title, 'Narwhal in the bay'].sort());
  // All the rest, not only what of it is told.
  const rest = await imke.post(`/api/wastebasket/${id}/restored`).send({ entries: null }).expect(200);
  expect((rest.body as Restored).entries).toBe(made.length - 1);
}, 60_000);

test('the nearest to a whole message, of those one may see', async () => {
  const kept = await keep(
    'ward',
    content('Swan on the motorway', 'Call the wardens; do not stop on the hard shoulder.'),
  );
  await desta
    .post('/api/entries')
    .send({
      collection: 'own-desta',
      content: content('Swan of mine', 'A swan by the motorway.'),
      reason: '',
    })
    .expect(201);
  const ask = async (text: string) =>
    ((await imke.post('/api/bank/nearest').send({ text }).expect(200)).body as Nearest).entries;
  const [first, ...others] = await ask(
    'Hello, I saw a Swan sitting beside the motorway’s hard shoulder & drove on!',
  );
  expect(first?.entry.id).toBe(kept.id);
  expect([...first!.words].sort()).toEqual(['hard', 'motorway', 'shoulder', 'swan']);
  expect(others.map(({ entry }) => entry.content.title)).not.toContain('Swan of mine');
  for (const nothing of ['qqq www', '...', "'"]) expect(await ask(nothing)).toEqual([]);
});

test('the nearest to a sentence in other forms of its words', async () => {
  const near = async (text: string) =>
    ((await imke.post('/api/bank/nearest').send({ text }).expect(200)).body as Nearest).entries.map(
      ({ entry }) => entry.content.title,
    );
  expect((await near('Someone wants to volunteer on Saturdays'))[0]).toBe('Thanks for offering to volunteer');
  expect((await near('She is keen on volunteering'))[0]).toBe('Thanks for offering to volunteer');
});
