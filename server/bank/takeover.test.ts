import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Bank, Collection, CollectionFile, Entry, TakeOver } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import type { EntryContent } from '#core/entry';
import { keep, problem, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let here: TestServer;
let elsewhere: TestServer;
let imke: Caller;
/** Of another team. */
let odile: Caller;
beforeAll(async () => {
  here = await startTestServer();
  elsewhere = await startTestServer();
  imke = await here.as('imke');
  odile = await elsewhere.as('odile');
});
afterAll(async () => {
  await here.close();
  await elsewhere.close();
});

const settings = { leadIn: ';', cueRules: DEFAULT_CUE_RULES, kindsOfWork: [], language: 'en-GB' };
const make = async (name: string, parent: string | null) =>
  (
    await imke
      .post('/api/collections')
      .send({ ...settings, name, parent })
      .expect(201)
  ).body as Collection;
const around = (title: string, within: string): EntryContent => {
  const content = wording(title, 'Within: ');
  const [line] = content.wordings[0]!.parts[0]!.passage.content;
  (line as { content: unknown[] }).content.push({ type: 'include', attrs: { entry: within } });
  return content;
};
const fileOf = async (who: Caller, id: string) =>
  (await who.post(`/api/collections/${id}/file`).expect(200)).body as CollectionFile;
const all = (file: CollectionFile, into: string | null): TakeOver => ({
  into,
  collections: file.collections,
  entries: file.entries.map((entry) => ({ ...entry, replaces: null })),
  known: {},
});
const bankOf = async (who: Caller) => (await who.get('/api/bank').expect(200)).body as Bank;
const takeOver = (who: Caller, body: TakeOver) => who.post('/api/bank/taken-over').send(body);

/** A file without what its ids are: the same before and after it went through another team. */
const asRead = ({ collections, entries }: CollectionFile) => {
  const nameOf = (id: string | null) => collections.find((one) => one.id === id)?.name ?? null;
  const titleOf = (id: string) => entries.find((one) => one.id === id)?.content.title;
  return {
    collections: collections.map((one) => ({ ...one, id: '', parent: nameOf(one.parent) })),
    entries: entries
      .map(({ collection, content }) => ({
        in: nameOf(collection),
        content: JSON.parse(
          JSON.stringify(content, (key, value: unknown) =>
            key === 'entry' ? titleOf(String(value)) : value,
          ),
        ) as unknown,
      }))
      .sort((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b))),
  };
};

let file: CollectionFile;
let outer: Collection;
let first: Entry;

test('a collection goes to another team whole: those within it, cues, entries within entries; and comes back the same', async () => {
  outer = await make('Night rounds', null);
  const inner = await make('At dawn', outer.id);
  first = (await keep(imke, inner.id, wording('Weighed', 'It was weighed.', 'wg'))).body as Entry;
  // Within an entry, from a collection that is not handed on.
  const other = (await keep(imke, 'ward', wording('Of the ward', 'Kept elsewhere.'))).body as Entry;
  await keep(imke, outer.id, around('Round', first.id));
  await keep(imke, outer.id, around('Round of the ward', other.id));
  file = await fileOf(imke, outer.id);
  expect(file.entries.map(({ content }) => content.title).sort()).toEqual([
    'Of the ward',
    'Round',
    'Round of the ward',
    'Weighed',
  ]);
  const taken = (await takeOver(odile, all(file, null)).expect(201)).body as { collection: string };
  expect(taken).toMatchObject({ collection: expect.any(String), made: 4, changed: 0 });
  expect(asRead(await fileOf(odile, taken.collection))).toEqual(asRead(file));
  // Until its taker shares it, it is theirs alone.
  const desta = await elsewhere.as('desta');
  expect((await bankOf(desta)).collections.map(({ name }) => name)).not.toContain('Night rounds');
});

test('merged into a collection: new entries, next revisions, what is known by another name; all of it or nothing', async () => {
  const into = (await bankOf(odile)).collections.find(({ name }) => name === 'Night rounds')!.id;
  const there = (await bankOf(odile)).entries.find(({ content }) => content.title === 'Weighed')!;
  const [round] = file.entries.filter(({ content }) => content.title === 'Round');
  const weighed = wording('Weighed', 'It was weighed twice.', 'wg');
  const body: TakeOver = {
    into,
    collections: file.collections,
    entries: [
      { id: 'x', collection: 'y', content: around('Another round', first.id), replaces: null },
      {
        id: 'z',
        collection: 'y',
        content: weighed,
        replaces: { entry: there.id, revision: there.revision },
      },
    ],
    known: { [first.id]: there.id },
  };
  expect((await takeOver(odile, body).expect(201)).body).toMatchObject({
    collection: into,
    made: 1,
    changed: 1,
  });
  const bank = await bankOf(odile);
  const another = bank.entries.find(({ content }) => content.title === 'Another round')!;
  expect(JSON.stringify(another.content)).toContain(`"entry":"${there.id}"`);
  expect(bank.entries.find(({ id }) => id === there.id)?.revision).toBe(2);

  const before = bank.entries.length;
  const cue = { ...round!, content: wording('Taken', 'x', 'wg'), replaces: null };
  // In a collection of this team that has the cue, after an entry that would fit.
  const dawn = there.collection;
  const fits = { id: 'f', collection: 'y', content: wording('Fits', 'x'), replaces: null };
  expect(problem(await takeOver(odile, { ...body, into: dawn, entries: [fits, cue] })).code).toBe(
    'cue-taken',
  );
  expect(problem(await takeOver(odile, body)).code).toBe('moved-on');
  expect(problem(await takeOver(odile, { ...body, into: 'helpline' })).code).toBe('not-allowed');
  expect((await bankOf(odile)).entries).toHaveLength(before);
});
