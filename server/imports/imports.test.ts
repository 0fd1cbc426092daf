import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Bank, Collection, CollectionFile, Deletion, Entry, Import, ImportUndone } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import type { EntryContent } from '#core/entry';
import type { TakeOverBody } from '#core/takeover';
import { deleting, keep, problem, saveAs, wording } from '../testing/entryCalls';
import { bringIn, finishImport, sendImport } from '../testing/importCalls';
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
const all = (file: CollectionFile, into: string | null): TakeOverBody => ({
  collections: file.collections,
  places: into === null ? {} : Object.fromEntries(file.collections.map(({ id }) => [id, into])),
  entries: file.entries.map((entry) => ({ ...entry, replaces: null })),
  known: {},
});
const bankOf = async (who: Caller) => (await who.get('/api/bank').expect(200)).body as Bank;
const IN_TWOS = { atOnce: 2 };
const send = (who: Caller, body: TakeOverBody) => sendImport(who, body, IN_TWOS);
const takeOver = (who: Caller, body: TakeOverBody) => bringIn(who, body, IN_TWOS);
const finish = finishImport;

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
  const taken = (await takeOver(odile, all(file, null))).body as Import;
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
  const body: TakeOverBody = {
    ...all(file, into),
    entries: [
      { id: 'x', collection: outer.id, content: around('Another round', first.id), replaces: null },
      {
        id: 'z',
        collection: outer.id,
        content: weighed,
        replaces: { entry: there.id, revision: there.revision },
      },
    ],
    known: { [first.id]: there.id },
  };
  expect((await takeOver(odile, body)).body).toMatchObject({
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
  const dawn = all(file, there.collection).places;
  const fits = { id: 'f', collection: outer.id, content: wording('Fits', 'x'), replaces: null };
  expect(problem(await takeOver(odile, { ...body, places: dawn, entries: [fits, cue] })).code).toBe(
    'cue-taken',
  );
  expect(problem(await takeOver(odile, body)).code).toBe('moved-on');
  expect(problem(await takeOver(odile, { ...body, places: all(file, 'helpline').places })).code).toBe(
    'not-allowed',
  );
  expect((await bankOf(odile)).entries).toHaveLength(before);
});

const MANY = {
  collections: [{ ...settings, id: 'c', parent: null, name: 'Many', cuesBy: 'initials' }],
  entries: [],
} as unknown as CollectionFile;
const many = (
  count: number,
  cue: (at: number) => string | undefined = () => undefined,
  title = 'Comment',
): TakeOverBody => ({
  ...all(MANY, null),
  entries: Array.from({ length: count }, (_, at) => ({
    ...{ id: `e${at}`, collection: 'c', replaces: null },
    content: wording(`${title} ${at}`, `It was seen ${at} times.`, cue(at)),
  })),
});

describe('an import that is not finished', () => {
  test('is nowhere: not in the bank, a search, the wastebasket, nor its cues; others cannot touch it', async () => {
    const before = (await bankOf(odile)).entries.length;
    const { id } = await send(
      odile,
      many(5, (at) => `zq${at}`),
    );
    expect((await bankOf(odile)).entries).toHaveLength(before);
    expect((await bankOf(odile)).collections.map(({ name }) => name)).not.toContain('Many');
    const found = await odile.post('/api/bank/search').send({ query: 'seen 3 times' }).expect(200);
    expect(JSON.stringify(found.body)).not.toContain('Comment 3');
    expect((await odile.get('/api/wastebasket').expect(200)).body as Deletion[]).toEqual([]);
    const desta = await elsewhere.as('desta');
    expect((await finish(desta, id)).status).toBe(404);
    expect((await odile.get('/api/imports').expect(200)).body).toMatchObject(
      expect.arrayContaining([expect.objectContaining({ id, state: 'arriving', made: 5 })]),
    );
    await odile.delete(`/api/imports/${id}`).expect(204);
    expect((await finish(odile, id)).status).toBe(404);
  });

  test('takes each piece once, however often it is sent, and is finished once', async () => {
    const body = many(4);
    const { id } = await send(odile, body);
    const again = { entries: body.entries.slice(0, 2), known: {}, coming: [] };
    await odile.post(`/api/imports/${id}/pieces`).send(again).expect(200);
    expect((await finish(odile, id)).body).toMatchObject({ state: 'here', made: 4, changed: 0 });
    expect(problem(await finish(odile, id)).code).toBe('not-valid');
    const bank = await bankOf(odile);
    expect(bank.entries.filter(({ content }) => content.title.startsWith('Comment'))).toHaveLength(4);
  });

  test('is finished whole or not at all, where a cue was taken meanwhile', async () => {
    const into = (await bankOf(odile)).collections.find(({ name }) => name === 'Many')!.id;
    const body = { ...many(3, (at) => `late${at}`), places: { c: into } };
    const { id } = await send(odile, body);
    const quick = (await keep(odile, into, wording('Quicker', 'First.', 'late1'))).body as Entry;
    expect(problem(await finish(odile, id)).code).toBe('cue-taken');
    expect((await bankOf(odile)).entries.map(({ content }) => content.title)).not.toContain('Comment 0 late');
    await deleting(odile, [quick.id]);
    expect((await finish(odile, id)).body).toMatchObject({ made: 3 });
  });
});

describe('taken back', () => {
  const undo = async (id: string) =>
    (await odile.post(`/api/imports/${id}/undo`).expect(200)).body as ImportUndone;

  test('what is as it was brought in goes, with the collection made for it; it can be had back from the wastebasket', async () => {
    const { id } = (
      await takeOver(odile, { ...many(3), collections: [{ ...many(3).collections[0]!, name: 'Gone again' }] })
    ).body as Import;
    expect(await undo(id)).toEqual({ deleted: 3, reverted: 0, left: [], leftCount: 0 });
    expect((await bankOf(odile)).collections.map(({ name }) => name)).not.toContain('Gone again');
    const wasted = (await odile.get('/api/wastebasket').expect(200)).body as Deletion[];
    expect(wasted.map(({ what, title }) => `${what} ${title}`)).toContain('collection Gone again');
    expect(problem(await odile.post(`/api/imports/${id}/undo`)).code).toBe('not-valid');
  });

  test('what was changed since stays and is told; what was replaced is what it was', async () => {
    const into = (await bankOf(odile)).collections.find(({ name }) => name === 'Many')!.id;
    const ours = (await keep(odile, into, wording('Ours', 'As it was.'))).body as Entry;
    const body: TakeOverBody = { ...many(3, undefined, 'Dusk'), places: { c: into } };
    body.entries[2] = {
      ...{ id: 'r', collection: 'c', content: wording('Ours', 'As it came.') },
      replaces: { entry: ours.id, revision: 1 },
    };
    const { id } = (await takeOver(odile, body)).body as Import;
    const called = async (title: string) =>
      (await bankOf(odile)).entries.find(({ content }) => content.title === title);
    expect(await called('Ours')).toMatchObject({ revision: 2, reason: 'Brought in with “night.json”' });
    await saveAs(odile, (await called('Dusk 0'))!.id, 1, wording('Dusk 0', 'By hand since.')).expect(200);
    expect(await undo(id)).toEqual({ deleted: 1, reverted: 1, left: ['Dusk 0'], leftCount: 1 });
    expect(await called('Dusk 0')).toBeDefined();
    expect(await called('Dusk 1')).toBeUndefined();
    expect(JSON.stringify((await called('Ours'))!.content)).toContain('As it was.');
  });
});
