import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import supertest from 'supertest';
import type { Invitation, Member, Person, TrailLine } from '#contracts';
import { mustBeForTheDemo } from '../account';
import { grants, letters, sessions } from '../db';
import { keep, problem, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
const PASSWORD = 'a quiet owl at dusk';

beforeEach(async () => {
  server = await startTestServer();
  [imke, odile] = (await Promise.all(['imke', 'odile'].map(server.as))) as [Caller, Caller];
});
afterEach(() => server.close());

const invite = (over: object = {}) =>
  imke.post('/api/invitations').send({
    name: 'Wilma Reed',
    email: 'wilma@hollin.example',
    role: 'member',
    groups: ['ward-staff'],
    ...over,
  });
/** The secret in the newest letter to someone; read in the post room where that is an act of its own. */
const tokenTo = (to: string) => {
  const { id, text } = server.context.post.waiting().find((letter) => letter.to === to)!;
  return (text ?? server.context.post.take(id)!.text).split('#')[1]!.split('\n')[0]!;
};
const anyone = () => supertest.agent(server.app);
const join = (token: string, caller = anyone()) =>
  caller.post('/api/members').send({ token, name: 'Wilma Reed', password: PASSWORD });
const people = async () =>
  (await imke.get('/api/people').expect(200)).body as { members: Person[]; invitations: Invitation[] };
const trailOf = async (about: string) =>
  (await imke.post('/api/trail').send({ about, by: null, from: null, until: null, before: null }).expect(200))
    .body as { lines: TrailLine[]; more: boolean };

test('invited by a letter, joined by its link once: with role and groups, signed in, able to sign in again', async () => {
  await invite().expect(201);
  const token = tokenTo('wilma@hollin.example');
  // What is stored is not what the link holds.
  const [stored] = await server.context.db.select().from(letters);
  expect(JSON.stringify(stored)).not.toContain(token);
  const read = await anyone().post('/api/letters').send({ token }).expect(200);
  expect(read.body).toEqual({ purpose: 'invitation', name: 'Wilma Reed', email: 'wilma@hollin.example' });
  const both = await Promise.all([join(token), join(token)]);
  expect(both.map(({ status }) => status).sort()).toEqual([201, 410]);
  expect((await join(token)).status).toBe(410);
  const wilma = anyone();
  const signedIn = await wilma
    .post('/api/session')
    .send({ email: 'wilma@hollin.example', password: PASSWORD })
    .expect(201);
  expect(signedIn.body).toMatchObject({ name: 'Wilma Reed', role: 'member' });
  const bank = (await wilma.get('/api/bank').expect(200)).body as { collections: { name: string }[] };
  expect(bank.collections.map(({ name }) => name)).toContain('My own wording');
  const team = (await wilma.get('/api/team')).body as { groups: { id: string; members: string[] }[] };
  expect(team.groups.find(({ id }) => id === 'ward-staff')!.members).toContain((signedIn.body as Member).id);
  expect((await people()).invitations).toEqual([]);
});

test('a link does not work: guessed, withdrawn, sent anew, too old, for another purpose', async () => {
  const { id } = (await invite().expect(201)).body as Invitation;
  const first = tokenTo('wilma@hollin.example');
  expect(problem(await join('x'.repeat(43))).code).toBe('link-used');
  await imke.post(`/api/invitations/${id}/letter`).expect(200);
  const second = tokenTo('wilma@hollin.example');
  expect(problem(await join(first)).code).toBe('link-used');
  expect(
    problem(await anyone().post('/api/passwords').send({ token: second, password: PASSWORD })).code,
  ).toBe('link-used');
  const [again] = (await people()).invitations;
  await imke.delete(`/api/invitations/${again!.id}`).expect(204);
  expect(problem(await join(second)).code).toBe('link-used');
  await invite().expect(201);
  await server.context.db.update(letters).set({ endsAt: server.context.now() });
  expect(problem(await join(tokenTo('wilma@hollin.example'))).code).toBe('link-used');
  expect(problem(await invite({ email: 'odile@hollin.example' })).detail).toContain(
    'Odile Brandt has an account',
  );
  expect(problem(await invite({ email: 'nowhere' })).code).toBe('not-valid');
});

test('guessing is slowed, whatever is guessed', async () => {
  const guesses = [];
  for (let at = 0; at < 12; at += 1) guesses.push((await join(`${'y'.repeat(40)}${at}`)).status);
  expect(guesses.slice(0, 10)).toEqual(Array(10).fill(410));
  expect(guesses.slice(10)).toEqual([429, 429]);
});

test('a new password by a letter: whether the address is known is not told; all sessions end', async () => {
  const ask = (email: string) => anyone().post('/api/passwords/asked').send({ email }).expect(204);
  await ask('odile@hollin.example');
  await ask('nobody@hollin.example');
  for (let tries = 0; tries < 200 && server.context.post.waiting().length === 0; tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 10));
  expect(server.context.post.waiting().map(({ to }) => to)).toEqual(['odile@hollin.example']);
  const token = tokenTo('odile@hollin.example');
  const fresh = anyone();
  // A cookie planted before is not the one that the session gets.
  fresh.jar.setCookie('elderleaf_session=planted');
  const set = await fresh.post('/api/passwords').send({ token, password: PASSWORD }).expect(201);
  expect(set.get('Set-Cookie')!.join()).not.toContain('planted');
  await fresh.get('/api/session').expect(200);
  await odile.get('/api/session').expect(401);
  await anyone().post('/api/session').send({ email: 'odile@hollin.example', password: PASSWORD }).expect(201);
  expect(
    problem(await fresh.put('/api/own/password').send({ old: 'not this one', password: PASSWORD })).code,
  ).toBe('wrong-password');
  await fresh.put('/api/own/password').send({ old: PASSWORD, password: 'two swans at dawn' }).expect(204);
  await fresh.get('/api/session').expect(200);
  expect((await server.context.db.select().from(sessions).where(eq(sessions.member, 'odile'))).length).toBe(
    1,
  );
});

test("one's sessions are seen and ended; others' are not", async () => {
  const elsewhere = await server.as('odile');
  const own = (await odile.get('/api/own/sessions')).body as { id: string; current: boolean }[];
  expect(own.map(({ current }) => current).sort()).toEqual([false, true]);
  const other = own.find(({ current }) => !current)!;
  expect((await imke.delete(`/api/own/sessions/${other.id}`)).status).toBe(404);
  await elsewhere.get('/api/session').expect(200);
  await odile.delete(`/api/own/sessions/${other.id}`).expect(204);
  await elsewhere.get('/api/session').expect(401);
  await odile.get('/api/session').expect(200);
});

test('the last owner stays, however many step down at once; members do not manage people', async () => {
  const role = (id: string, to: string) => imke.put(`/api/members/${id}`).send({ role: to });
  expect(problem(await role('imke', 'member')).detail).toContain('needs an owner');
  expect(problem(await imke.post('/api/members/imke/leaving').send({ handTo: 'odile' })).detail).toContain(
    'needs an owner',
  );
  await role('odile', 'owner').expect(200);
  const both = await Promise.all([
    imke.put('/api/members/imke').send({ role: 'member' }),
    odile.put('/api/members/odile').send({ role: 'member' }),
  ]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 422]);
  const desta = await server.as('desta');
  for (const [method, path] of [
    ['get', '/api/people'],
    ['put', '/api/members/odile'],
    ['post', '/api/members/odile/leaving'],
    ['post', '/api/members/odile/hand-over'],
    ['post', '/api/invitations'],
    ['get', '/api/post'],
    ['post', '/api/groups'],
    ['post', '/api/trail'],
  ] as const)
    expect([path, problem(await desta[method](path).send({})).code]).toEqual([path, 'not-allowed']);
});

test('who leaves hands over what nobody else keeps; is signed out, keeps their name in the history, can come back', async () => {
  const leave = (handTo: string | null) => imke.post('/api/members/desta/leaving').send({ handTo });
  const desta = await server.as('desta');
  expect(problem(await leave(null)).detail).toContain('would have no keeper');
  expect(problem(await leave('desta')).code).toBe('not-valid');
  await desta.get('/api/session').expect(200);
  await leave('odile').expect(204);
  await desta.get('/api/session').expect(401);
  expect((await supertest(server.app).post('/api/session/demo').send({ member: 'desta' })).status).toBe(404);
  const keeping = await server.context.db.select().from(grants).where(eq(grants.member, 'odile'));
  expect(keeping.filter(({ right }) => right === 'keep').map(({ collection }) => collection)).toContain(
    'school',
  );
  // Their own wording is nobody's: it waits for them.
  const bank = (await imke.get('/api/bank')).body as { collections: { id: string }[] };
  expect(bank.collections.map(({ id }) => id)).not.toContain('own-desta');
  expect((await people()).members.find(({ id }) => id === 'desta')!.leftAt).not.toBeNull();
  await imke.delete('/api/members/desta/leaving').expect(200);
  await server.as('desta');
});

test('what one keeps is handed over; groups change what their members see, and are never left to keep for nobody', async () => {
  const odileKeeps = async () =>
    ((await odile.get('/api/bank')).body as { collections: { id: string; right: string }[] }).collections
      .filter(({ right }) => right === 'keep')
      .map(({ id }) => id);
  expect(problem(await odile.post('/api/members/ruan/hand-over').send({ to: 'odile' })).code).toBe(
    'not-allowed',
  );
  const given = await imke.post('/api/members/ruan/hand-over').send({ to: 'odile' }).expect(200);
  expect(given.body).toEqual({ collections: 1 });
  expect(await odileKeeps()).toContain('archive');

  const made = await imke
    .post('/api/groups')
    .send({ name: 'Night', members: ['odile'] })
    .expect(201);
  const { id } = made.body as { id: string };
  expect(problem(await imke.post('/api/groups').send({ name: 'Night', members: [] })).code).toBe('not-valid');
  expect(problem(await imke.put(`/api/groups/${id}`).send({ name: 'N', members: ['none'] })).code).toBe(
    'not-valid',
  );
  await server.context.db.delete(grants).where(eq(grants.collection, 'archive'));
  await server.context.db.insert(grants).values({ collection: 'archive', group: id, right: 'keep' });
  expect(problem(await imke.put(`/api/groups/${id}`).send({ name: 'Night', members: [] })).code).toBe(
    'not-valid',
  );
  expect(problem(await imke.delete(`/api/groups/${id}`)).code).toBe('not-valid');
  await imke
    .put(`/api/groups/${id}`)
    .send({ name: 'Night', members: ['anouk', 'odile'] })
    .expect(200);
  const anouk = await server.as('anouk');
  const seen = ((await anouk.get('/api/bank')).body as { collections: { id: string }[] }).collections;
  expect(seen.map((one) => one.id)).toContain('archive');
});

test('the trail tells owners who did what, newest first, and nothing of collections they do not see', async () => {
  await invite().expect(201);
  await imke.put('/api/members/odile').send({ role: 'owner' }).expect(200);
  expect((await trailOf('people')).lines.map(({ by, act, subject }) => [by, act, subject])).toEqual([
    ['Imke Tarrow', 'role-changed', 'Odile Brandt'],
    ['Imke Tarrow', 'member-invited', 'Wilma Reed'],
  ]);
  await keep(odile, 'own-odile', wording('For me alone', 'x')).expect(201);
  await keep(odile, 'ward', wording('For the ward', 'x')).expect(201);
  const kept = (await trailOf('wording')).lines.map(({ subject }) => subject);
  expect(kept[0]).toBe('For the ward');
  expect(kept).not.toContain('For me alone');
});

test('own details sign the wording from then on', async () => {
  const body = { name: 'Odile Brandt', job: 'Nurse', phone: 'extension 215' };
  expect((await odile.put('/api/own').send(body).expect(200)).body).toMatchObject(body);
  expect((await odile.get('/api/session')).body).toMatchObject(body);
  expect(problem(await odile.put('/api/own').send({ ...body, name: ' ' })).code).toBe('not-valid');
});

test('a letter for a new password is read once, and the trail tells who did; asked for again and again it pushes out no other', async () => {
  await invite().expect(201);
  const ask = () => anyone().post('/api/passwords/asked').send({ email: 'odile@hollin.example' });
  await ask().expect(204);
  const listed = async () =>
    (await imke.get('/api/post').expect(200)).body as { id: string; to: string; text: string | null }[];
  // What is asked for is answered before the letter is written: not who is known by it.
  while ((await listed()).length < 2) await new Promise((resolve) => setImmediate(resolve));
  const [letter, invitation] = await listed();
  expect([letter!.to, letter!.text]).toEqual(['odile@hollin.example', null]);
  expect(invitation!.text).toContain('/join#');
  const read = await imke.post(`/api/post/${letter!.id}`).expect(200);
  expect((read.body as { text: string }).text).toContain('/new-password#');
  await imke.post(`/api/post/${letter!.id}`).expect(404);
  expect(await listed()).toHaveLength(1);
  const { lines } = await trailOf('people');
  expect(lines.slice(0, 2).map(({ act, by, subject }) => [act, by, subject])).toEqual([
    ['letter-read', 'Imke Tarrow', 'odile@hollin.example'],
    ['password-asked', 'Odile Brandt', 'Odile Brandt'],
  ]);
});

test('the trail names people as they were called then, and tells who changed their name', async () => {
  await odile.put('/api/own').send({ name: 'Imke Tarrow', job: '', phone: '' }).expect(200);
  await odile.put('/api/own').send({ name: 'Odile Brandt', job: '', phone: '' }).expect(200);
  const { lines } = await trailOf('people');
  expect(lines.slice(0, 2).map(({ act, by, detail }) => [act, by, detail])).toEqual([
    ['details-changed', 'Imke Tarrow', 'now Odile Brandt'],
    ['details-changed', 'Odile Brandt', 'now Imke Tarrow'],
  ]);
});

test('a mail server that does not take a letter: the invitation stands, and that is said', async () => {
  server.context.post.send = () => Promise.reject(new Error('refused'));
  const answer = await invite();
  expect([answer.status, problem(answer).code, problem(answer).detail]).toEqual([
    502,
    'not-sent',
    'Wilma Reed is invited. The mail server did not accept the email: send it again later.',
  ]);
  expect((await people()).invitations.map(({ name }) => name)).toEqual(['Wilma Reed']);
});

test('wrong passwords slow an account, and lock nobody out', async () => {
  await invite().expect(201);
  await join(tokenTo('wilma@hollin.example')).expect(201);
  const wrong = () => server.context.tries.failed('wilma@hollin.example');
  for (let at = 0; at < 7; at += 1) wrong();
  await anyone().post('/api/session').send({ email: 'wilma@hollin.example', password: PASSWORD }).expect(201);
  expect(server.paused.at(-1)).toBe(1000);
});

test.each(['aaaaaaaaaa', '1234567890', '          ', 'abcdefghij', '9876543210'])(
  'a password like %j is not taken',
  async (password) => {
    await invite().expect(201);
    const token = tokenTo('wilma@hollin.example');
    const answer = await anyone().post('/api/members').send({ token, name: 'Wilma', password });
    expect(answer.status).toBe(422);
  },
);

test('a store with members who have passwords is no store for a demo', async () => {
  await mustBeForTheDemo(server.context.db);
  await invite().expect(201);
  await join(tokenTo('wilma@hollin.example')).expect(201);
  await expect(mustBeForTheDemo(server.context.db)).rejects.toThrow(/belongs to a team/);
});
