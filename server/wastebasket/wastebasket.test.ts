import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Bank, Case, Collection, Deletion, Draft, Entry, Glossary, Restored } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import {
  changing,
  deleting,
  deletionIn,
  keep,
  moving,
  problem,
  saveAs,
  wording,
} from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { emptyWastebasket } from './emptying';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let desta: Caller;
let ruan: Caller;
let made = 0;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, desta, ruan] = (await Promise.all(['imke', 'odile', 'desta', 'ruan'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

let some: Entry[];
const cueOf = (at: number) => `zz${made}x${at}`;
beforeEach(async () => {
  made += 1;
  some = [];
  for (let at = 0; at < 3; at += 1)
    some.push((await keep(imke, 'ward', wording(`Basket ${made} ${at}`, 'Words.', cueOf(at)))).body as Entry);
});

const ids = () => some.map(({ id }) => id);
const basket = async (caller: Caller) =>
  (await caller.get('/api/wastebasket').expect(200)).body as Deletion[];
const glossaries = async (caller: Caller) =>
  ((await caller.get('/api/glossaries').expect(200)).body as Glossary[]).map(({ name, count }) => [
    name,
    count,
  ]);
const restore = (caller: Caller, id: string, entries: string[] | null = null) =>
  caller.post(`/api/wastebasket/${id}/restored`).send({ entries });
const bankOf = async (caller: Caller) => (await caller.get('/api/bank').expect(200)).body as Bank;
const makeCollection = async (name: string, parent: string | null = null) =>
  (
    await imke
      .post('/api/collections')
      .send({ name, leadIn: ';', cueRules: DEFAULT_CUE_RULES, kindsOfWork: [], language: 'en-GB', parent })
      .expect(201)
  ).body as Collection;

/** What a page has, followed by asking for changes alone: it must come to the same as the whole bank. */
async function follow(caller: Caller) {
  const had = await bankOf(caller);
  const page = new Map(had.entries.map((entry) => [entry.id, entry]));
  let counts = Object.fromEntries(had.collections.map(({ id, changes }) => [id, changes]));
  return async () => {
    const { collections, entries, gone } = (await caller.post('/api/bank/changes').send({ had: counts }))
      .body as Bank;
    for (const { entry, collection } of gone)
      if (page.get(entry)?.collection === collection) page.delete(entry);
    for (const entry of entries) page.set(entry.id, entry);
    counts = Object.fromEntries(collections.map(({ id, changes }) => [id, changes]));
    const seen = new Set(collections.map(({ id }) => id));
    const left = [...page.values()].filter(({ collection }) => seen.has(collection));
    const whole = (await bankOf(caller)).entries;
    const byId = (a: Entry, b: Entry) => a.id.localeCompare(b.id);
    expect(left.sort(byId)).toEqual(whole.sort(byId));
  };
}

describe('entries', () => {
  test('deleted they are nowhere, their cues are free; brought back they are whole, but for cues taken meanwhile', async () => {
    const same = await follow(odile);
    const deletion = deletionIn(await deleting(odile, ids()).expect(200));
    expect((await basket(odile)).find(({ id }) => id === deletion)).toMatchObject({
      ...{ count: 3, title: '3 entries', by: 'Odile Brandt' },
    });
    await same();
    for (const id of ids()) {
      expect((await imke.get(`/api/entries/${id}`)).status).toBe(404);
      expect((await imke.get(`/api/entries/${id}/revisions`)).status).toBe(404);
      expect((await saveAs(imke, id, 1, wording('x', 'y'))).status).toBe(404);
    }
    await keep(imke, 'ward', wording('Taker', 'x', cueOf(0))).expect(201);
    const back = (await restore(imke, deletion).expect(200)).body as Restored;
    expect(back).toEqual({ entries: 3, lostCues: [{ title: `Basket ${made} 0`, cue: cueOf(0) }] });
    await same();
    const first = (await imke.get(`/api/entries/${some[0]!.id}`)).body as Entry;
    expect(first).toMatchObject({ revision: 2, content: { cues: [] } });
    expect((await imke.get(`/api/entries/${some[1]!.id}`)).body).toEqual({ ...some[1], revision: 1 });
    expect(problem(await keep(imke, 'ward', wording('Late', 'x', cueOf(1)))).code).toBe('cue-taken');
    expect((await basket(imke)).map(({ id }) => id)).not.toContain(deletion);
  });

  test('all or none; one of several brought back alone; only keepers delete, see and bring back', async () => {
    expect(problem(await deleting(imke, [...ids(), 'none'])).code).toBe('not-found');
    expect(problem(await deleting(desta, ids())).code).toBe('not-allowed');
    expect(problem(await deleting(ruan, ids())).code).toBe('not-found');
    expect((await imke.get(`/api/entries/${some[0]!.id}`)).status).toBe(200);
    const id = deletionIn(await deleting(imke, ids()));
    for (const caller of [desta, ruan]) {
      expect((await basket(caller)).map((one) => one.id)).not.toContain(id);
      expect(problem(await restore(caller, id)).code).toBe('not-found');
      expect((await caller.delete(`/api/wastebasket/${id}`)).status).toBe(404);
    }
    await restore(odile, id, [some[1]!.id]).expect(200);
    expect((await basket(imke)).find((one) => one.id === id)).toMatchObject({ count: 2 });
    await imke.get(`/api/entries/${some[1]!.id}`).expect(200);
    await imke.delete(`/api/wastebasket/${id}`).expect(204);
    expect(problem(await restore(imke, id)).code).toBe('not-found');
    await imke.get(`/api/entries/${some[1]!.id}`).expect(200);
  });

  test('what deleting touches: entries that hold these, and unfinished drafts', async () => {
    const holder = (await keep(imke, 'ward', wording('Holder', `A. [include ${some[0]!.id}]`))).body as Entry;
    const touched = await imke.post('/api/entries/touched').send({ entries: ids() }).expect(200);
    expect(touched.body).toEqual({ within: [{ id: holder.id, title: 'Holder' }], drafts: 0 });
  });

  test('moved, all or none, with their cues; a page that follows loses none', async () => {
    const same = await follow(imke);
    const elsewhere = await follow(odile);
    const box = await makeCollection(`Box ${made}`);
    const move = (entries: string[], to: string, caller = imke) => moving(caller, entries, to);
    await keep(imke, box.id, wording('There', 'x', cueOf(2).toUpperCase())).expect(201);
    expect(problem(await move(ids(), box.id))).toMatchObject({ code: 'cue-taken' });
    expect((await imke.get(`/api/entries/${some[0]!.id}`)).body).toMatchObject({ collection: 'ward' });
    const two = ids().slice(0, 2);
    await move(two, box.id).expect(200);
    await same();
    await elsewhere();
    expect((await odile.get(`/api/entries/${two[0]}`)).status).toBe(404);
    await keep(imke, 'ward', wording('Free now', 'x', cueOf(0))).expect(201);
    expect(problem(await keep(imke, box.id, wording('Not there', 'x', cueOf(0)))).code).toBe('cue-taken');
    expect(problem(await move(two, 'own-imke')).detail).toContain('stays shared');
    expect(problem(await move(two, 'ward', odile)).code).toBe('not-found');
    expect(problem(await move([some[2]!.id], 'archive', odile)).code).toBe('not-found');
    expect(problem(await move([some[2]!.id], 'school')).code).toBe('not-allowed');
  });

  test('changed many at once, cues changing places; or not at all when one was saved meanwhile', async () => {
    const [a, b] = some as [Entry, Entry];
    const change = (one: Entry, cue: string, revision = 1) => ({
      entry: one.id,
      revision,
      content: { ...one.content, tags: ['night'], cues: [{ text: cue }] },
    });
    const send = (changes: object[]) => changing(imke, changes, 'Swap');
    await send([change(a, cueOf(1)), change(b, cueOf(0))]).expect(200);
    expect(problem(await send([change(a, cueOf(0), 2), change(b, cueOf(1), 1)])).code).toBe('moved-on');
    expect(problem(await send([change(a, cueOf(1), 2), change(b, cueOf(1), 2)])).code).toBe('cue-taken');
    expect((await imke.get(`/api/entries/${a.id}`)).body).toMatchObject({
      revision: 2,
      content: { tags: ['night'], cues: [{ text: cueOf(1) }] },
    });
  });

  test('retired, an entry frees its cue', async () => {
    const [a] = some as [Entry];
    await saveAs(imke, a.id, 1, { ...a.content, retired: true }).expect(200);
    await keep(imke, 'ward', wording('Heir', 'x', cueOf(0))).expect(201);
    expect(problem(await saveAs(imke, a.id, 2, a.content)).code).toBe('cue-taken');
  });
});

test('a collection goes with all in it and comes back so; at the top where what it was in is gone', async () => {
  const outer = await makeCollection('Outer');
  const inner = await makeCollection('Inner', outer.id);
  const entry = (await keep(imke, inner.id, wording('Within', 'x', 'wi'))).body as Entry;
  const same = await follow(imke);
  const drop = async (id: string) => {
    const { version } = (await bankOf(imke)).collections.find((one) => one.id === id)!;
    return imke.delete(`/api/collections/${id}`).set('If-Match', `"${version}"`).expect(204);
  };
  await drop(inner.id);
  await drop(outer.id);
  await same();
  const inBasket = async (name: string) => (await basket(imke)).find(({ title }) => title === name)!;
  const [before, last] = [await inBasket('Inner'), await inBasket('Outer')];
  expect((await basket(odile)).map(({ title }) => title)).not.toContain('Outer');
  await restore(imke, before.id).expect(200);
  await same();
  const bank = await bankOf(imke);
  expect(bank.collections.find(({ id }) => id === inner.id)).toMatchObject({ parent: null, right: 'keep' });
  await imke.get(`/api/entries/${entry.id}`).expect(200);
  expect(problem(await keep(imke, inner.id, wording('Other', 'x', 'wi'))).code).toBe('cue-taken');
  await restore(imke, last.id).expect(200);
});

test('deleted for good, a collection leaves one that was in it and was deleted before: that stands at the top when it is brought back', async () => {
  const outer = await makeCollection('Around');
  const inner = await makeCollection('Inside', outer.id);
  for (const { id, version } of [inner, outer])
    await imke.delete(`/api/collections/${id}`).set('If-Match', `"${version}"`).expect(204);
  const idOf = async (name: string) => (await basket(imke)).find(({ title }) => title === name)!.id;
  await imke.delete(`/api/wastebasket/${await idOf('Around')}`).expect(204);
  await restore(imke, await idOf('Inside')).expect(200);
  const back = (await bankOf(imke)).collections.find(({ id }) => id === inner.id);
  expect(back).toMatchObject({ parent: null, right: 'keep' });
});

test('a variation does not come back, nor move, to where another has taken its place', async () => {
  const [shared] = some as [Entry];
  const vary = async (collection: string) =>
    (
      await imke
        .post('/api/entries')
        .send({
          collection,
          content: wording('Varied', 'x'),
          reason: '',
          varies: { entry: shared.id, revision: 1 },
        })
        .expect(201)
    ).body as Entry;
  const first = await vary('own-imke');
  const id = deletionIn(await deleting(imke, [first.id]));
  await vary('own-imke');
  expect(problem(await restore(imke, id)).detail).toContain('variation');
  const box = await makeCollection('Varied box');
  const other = await vary(box.id);
  await deleting(imke, [other.id]).expect(200);
  const again = await vary(box.id);
  const home = await makeCollection('Another box');
  await vary(home.id);
  const move = (to: string) => moving(imke, [again.id], to);
  expect(problem(await move(home.id)).detail).toContain('variation');
  expect(problem(await move('ward')).code).toBe('not-valid');
});

test("one's draft goes and comes back, beside one begun meanwhile; the wastebasket is emptied in time", async () => {
  const draft = (await odile.post('/api/cases/swan-keel/drafts')).body as Draft;
  const gone = (await odile.delete(`/api/drafts/${draft.id}`).set('If-Match', '"1"').expect(200))
    .body as Deletion;
  expect((await odile.get(`/api/drafts/${draft.id}`)).status).toBe(404);
  expect((await basket(imke)).map(({ id }) => id)).not.toContain(gone.id);
  const other = (await odile.post('/api/cases/swan-keel/drafts')).body as Draft;
  expect(other.id).not.toBe(draft.id);
  const second = (await odile.delete(`/api/drafts/${other.id}`).set('If-Match', '"1"')).body as Deletion;
  await restore(odile, gone.id).expect(200);
  await odile.get(`/api/drafts/${draft.id}`).expect(200);
  await restore(odile, second.id).expect(200);
  const { drafts } = (await odile.get('/api/cases/swan-keel')).body as Case;
  expect(drafts.map(({ id }) => id).sort()).toEqual([draft.id, other.id].sort());

  const id = deletionIn(await deleting(imke, ids()));
  expect(problem(await odile.put('/api/settings').send({ wastebasketDays: 1 })).code).toBe('not-allowed');
  await imke.put('/api/settings').send({ wastebasketDays: 7 }).expect(200);
  const later = (days: number) => ({
    ...server.context,
    now: () => new Date(server.context.now().getTime() + days * 86_400_000),
  });
  expect(await emptyWastebasket(later(6))).toBe(0);
  expect((await basket(imke)).map((one) => one.id)).toContain(id);
  expect(await emptyWastebasket(later(8))).toBeGreaterThan(0);
  expect((await basket(imke)).map((one) => one.id)).not.toContain(id);
});

test('a glossary goes with its terms and comes back with them, for who made it and for owners alone', async () => {
  const asked = { name: 'Tides', language: 'en-GB', kindsOfWork: [], priority: 3, careful: false };
  const list = (await ruan.post('/api/glossaries').send(asked).expect(201)).body as Glossary;
  const term = { text: 'neap tide', cue: 'np', weight: 1, note: '' };
  const { version } = (await ruan.post(`/api/glossaries/${list.id}/terms`).send(term).expect(200))
    .body as Glossary;
  expect(await glossaries(desta)).toContainEqual(['Tides', 1]);
  await ruan.delete(`/api/glossaries/${list.id}`).set('If-Match', `"${version}"`).expect(204);
  expect(await glossaries(desta)).not.toContainEqual(['Tides', 1]);
  await desta.get(`/api/glossaries/${list.id}/terms/${version}`).expect(404);
  const find = async (who: Caller) => (await basket(who)).find(({ title }) => title === 'Tides');
  expect(await find(desta)).toBeUndefined();
  const { id } = (await find(ruan))!;
  expect(await find(imke)).toMatchObject({ id, what: 'glossary' });
  await restore(desta, id).expect(404);
  await restore(imke, id).expect(200);
  expect(await glossaries(desta)).toContainEqual(['Tides', 1]);
  expect(await find(ruan)).toBeUndefined();

  const back = (await ruan.get('/api/glossaries')).body as Glossary[];
  const now = back.find(({ name }) => name === 'Tides')!.version;
  await ruan.delete(`/api/glossaries/${list.id}`).set('If-Match', `"${now}"`).expect(204);
  await ruan.delete(`/api/wastebasket/${(await find(ruan))!.id}`).expect(204);
  expect(await find(imke)).toBeUndefined();
});
