import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { Bank, Collection, Entry, GrantedTo, Sharing } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { groupMembers, groups } from '../db';
import { keep, problem, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, ruan] = (await Promise.all(['imke', 'odile', 'ruan'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
  ];
  await server.context.db.insert(groups).values({ id: 'night', name: 'Night shift' });
  await server.context.db.insert(groupMembers).values({ group: 'night', member: 'ruan' });
});
afterAll(() => server.close());

const settings = (name: string) => ({
  name,
  leadIn: ';',
  cueRules: DEFAULT_CUE_RULES,
  kindsOfWork: [],
  language: 'en-GB',
});
const make = async (caller: Caller, name: string, parent: string | null = null) =>
  (
    await caller
      .post('/api/collections')
      .send({ ...settings(name), parent })
      .expect(201)
  ).body as Collection;
const bankOf = async (caller: Caller) => (await caller.get('/api/bank').expect(200)).body as Bank;
const named = async (caller: Caller) => (await bankOf(caller)).collections.map(({ name }) => name);
const sharingOf = async (caller: Caller, id: string) =>
  (await caller.get(`/api/collections/${id}/sharing`).expect(200)).body as Sharing;
const share = async (caller: Caller, id: string, grants: GrantedTo[]) => {
  const { version } = await sharingOf(caller, id);
  return caller.put(`/api/collections/${id}/sharing`).set('If-Match', `"${version}"`).send({ grants });
};
const move = (caller: Caller, id: string, parent: string | null, before: string | null = null) =>
  caller.post(`/api/collections/${id}/place`).send({ parent, before });
const to = (id: string, right: GrantedTo['right']): GrantedTo => ({ to: { kind: 'member', id }, right });
const night = (right: GrantedTo['right']): GrantedTo => ({ to: { kind: 'group', id: 'night' }, right });

test('what is made at the top stands after all that is shared, and before one’s own', async () => {
  await make(imke, 'Made first');
  await make(imke, 'Made next');
  const names = await named(imke);
  expect(names.slice(-3)).toEqual(['Made first', 'Made next', expect.stringMatching(/own/i)]);
});

test('how titles are built is settled, kept through other changes, told in the bank, and let go of', async () => {
  const made = await make(imke, 'With titles');
  const save = async (version: number, change: object) =>
    (
      await imke
        .put(`/api/collections/${made.id}`)
        .set('If-Match', `"${version}"`)
        .send({ ...settings('With titles'), reason: '', ...change })
        .expect(200)
    ).body as Collection;
  const told = async () => (await bankOf(imke)).collections.find(({ id }) => id === made.id)?.titles;
  const { version } = await save(made.version, { titles: ' topic first ' });
  expect(await told()).toBe('topic first');
  const renamed = await save(version, { name: 'Renamed' });
  expect(await told()).toBe('topic first');
  await save(renamed.version, { titles: '' });
  expect(await told()).toBe('');
});

describe('a collection and those within it', () => {
  let outer: Collection;
  let inner: Collection;
  let entry: Entry;
  beforeEach(async () => {
    outer = await make(imke, 'Outer');
    inner = await make(imke, 'Inner', outer.id);
    entry = (await keep(imke, inner.id, wording('Inner secret', 'x'))).body as Entry;
  });

  test('is its maker’s alone until it is shared; what is granted passes down, and is narrowed further in', async () => {
    expect(await named(ruan)).not.toContain('Outer');
    await share(imke, outer.id, [to('imke', 'keep'), night('contribute')]);
    const seen = await bankOf(ruan);
    expect(seen.collections.find(({ id }) => id === inner.id)).toMatchObject({
      parent: outer.id,
      right: 'contribute',
    });
    expect(seen.entries.map(({ id }) => id)).toContain(entry.id);
    expect(problem(await keep(ruan, inner.id, wording('x', 'y'))).code).toBe('not-allowed');

    await share(imke, inner.id, [to('ruan', 'none')]);
    const { collections, entries } = await bankOf(ruan);
    expect(collections.map(({ name }) => name)).toContain('Outer');
    expect(collections.map(({ name }) => name)).not.toContain('Inner');
    expect(entries.map(({ id }) => id)).not.toContain(entry.id);
    expect((await ruan.get(`/api/entries/${entry.id}`)).status).toBe(404);
    // A page that had it is told that it has it no more.
    const had = Object.fromEntries(seen.collections.map(({ id, changes }) => [id, changes]));
    const changed = (await ruan.post('/api/bank/changes').send({ had })).body as Bank;
    expect(changed.collections.map(({ id }) => id)).not.toContain(inner.id);
  });

  test('seen without what is around it, it stands at the top, and nothing tells of what is around', async () => {
    await share(imke, inner.id, [to('ruan', 'keep')]);
    const seen = (await bankOf(ruan)).collections.find(({ id }) => id === inner.id);
    expect(seen).toMatchObject({ parent: null, right: 'keep' });
    const sharing = await sharingOf(ruan, inner.id);
    expect(JSON.stringify(sharing)).not.toContain('Outer');
    expect(sharing.passedDown).toEqual([{ ...to('imke', 'keep'), from: null }]);
    // Put in order there, it does not leave what is around it.
    await move(ruan, inner.id, null, 'archive').expect(200);
    expect((await bankOf(imke)).collections.find(({ id }) => id === inner.id)!.parent).toBe(outer.id);
  });

  test('goes into another and out again, never into itself, and is not left to nobody', async () => {
    expect(problem(await move(imke, outer.id, inner.id)).code).toBe('not-valid');
    expect(problem(await move(imke, outer.id, 'own-imke')).code).toBe('not-valid');
    expect(problem(await move(odile, outer.id, null)).code).toBe('not-found');
    expect(problem(await move(imke, inner.id, 'archive')).code).toBe('not-allowed');
    await move(imke, inner.id, null, outer.id).expect(200);
    const order = (await bankOf(imke)).collections.filter(({ name }) => name === 'Inner' || name === 'Outer');
    expect(order.slice(-2).map(({ name }) => name)).toEqual(['Inner', 'Outer']);
    expect((await sharingOf(imke, inner.id)).grants).toEqual([to('imke', 'keep')]);
    expect(problem(await share(imke, outer.id, [to('imke', 'read')])).detail).toMatch(/It needs a keeper/);
    expect(problem(await share(imke, outer.id, [to('imke', 'keep'), to('imke', 'read')])).code).toBe(
      'not-valid',
    );
    expect((await sharingOf(imke, outer.id)).grants).toEqual([to('imke', 'keep')]);
  });

  test('two moves at once never make a ring', async () => {
    const other = await make(imke, 'Other');
    const answers = await Promise.all([move(imke, outer.id, other.id), move(imke, other.id, outer.id)]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
  });

  test('is changed by one at a time', async () => {
    const save = (version: number, name: string) =>
      imke.put(`/api/collections/${inner.id}`).set('If-Match', `"${version}"`).send(settings(name));
    await save(inner.version, 'Renamed').expect(200);
    expect(problem(await save(inner.version, 'Again')).code).toBe('moved-on');
    const drop = imke.delete(`/api/collections/${inner.id}`).set('If-Match', `"${inner.version}"`);
    expect(problem(await drop).code).toBe('moved-on');
  });
});
