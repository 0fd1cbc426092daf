import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Problem, SaidBefore, Tray, TrayLine } from '#contracts';
import { emptyDraft } from '#core/draft';
import { newTraySetup, TRAY_LIMITS } from '#core/naming';
import { trayLines } from '../../db';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

let server: TestServer;
let anouk: Caller;
let desta: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [anouk, desta] = [await server.as('anouk'), await server.as('desta')];
});
afterAll(() => server.close());

const file = (name: string, more = {}) => ({
  ...{ id: randomUUID(), folder: '', name, bytes: 1200, changed: '2026-11-20T09:00:00.000Z' },
  ...more,
});
const newTray = async (): Promise<string> => {
  const body = { id: randomUUID(), kind: 'naming', title: 'Post', number: null, details: [], given: [] };
  await anouk.post('/api/cases').send(body).expect(201);
  return `/api/cases/${body.id}/tray`;
};
const trayOf = async (at: string, caller = anouk) => (await caller.get(at).expect(200)).body as Tray;
const add = async (at: string, ...files: object[]) =>
  ((await anouk.post(`${at}/lines`).send({ files }).expect(200)).body as { lines: TrayLine[] }).lines;
const change = (at: string, ...changes: object[]) => anouk.post(`${at}/lines/changes`).send({ changes });
const written = (words: string, said: Record<string, string>) => ({ document: emptyDraft(), words, said });

test('files are added in order, sent again they are the same, and nobody else sees them', async () => {
  const at = await newTray();
  const [one, two, three] = [file('b.pdf'), file('a.pdf', { folder: 'post/in' }), file('c.pdf')];
  const added = await add(at, one, two);
  expect(added.map(({ name, folder, position }) => [name, folder, position])).toEqual([
    ['b.pdf', '', 0],
    ['a.pdf', 'post/in', 1],
  ]);
  expect((await add(at, two, three)).map(({ name }) => name)).toEqual(['c.pdf']);
  const tray = await trayOf(at);
  expect(tray.lines.map(({ id }) => id)).toEqual([one.id, two.id, three.id]);
  expect(tray.lines[0]).toMatchObject({ ...one, file: null, newName: null, renamed: null, version: 1 });
  await desta.get(at).expect(404);
  await desta
    .post(`${at}/lines`)
    .send({ files: [file('d.pdf')] })
    .expect(404);
});

test('a name is written, done, renamed and undone; another window is told and loses nothing', async () => {
  const at = await newTray();
  const [line] = await add(at, file('scan.pdf'));
  const first = {
    line: line!.id,
    version: 1,
    written: written('2026-03-04 bill', { Sender: 'Hollin Power' }),
  };
  const [now] = ((await change(at, first).expect(200)).body as { lines: TrayLine[] }).lines;
  expect(now).toMatchObject({ version: 2, words: '2026-03-04 bill' });
  const refused = (await change(at, first).expect(412)).body as Problem;
  expect(refused.current).toMatchObject({ id: line!.id, version: 2, words: '2026-03-04 bill' });
  await change(
    at,
    { line: line!.id, newName: '2026-03-04 bill.pdf' },
    { line: line!.id, renamed: 'zip' },
  ).expect(200);
  const [done] = (await trayOf(at)).lines;
  expect(done).toMatchObject({ newName: '2026-03-04 bill.pdf', renamed: 'zip' });
  expect([done!.namedAt, done!.renamedAt].every((when) => when !== null)).toBe(true);
  await change(at, { line: line!.id, renamed: null, newName: null }).expect(200);
  expect((await trayOf(at)).lines[0]).toMatchObject({
    newName: null,
    namedAt: null,
    renamed: null,
    renamedAt: null,
  });
  await change(at, { line: line!.id, drop: true }).expect(200);
  expect((await trayOf(at)).lines).toEqual([]);
});

test('of several changes all are done, or none', async () => {
  const at = await newTray();
  const [one] = await add(at, file('one.pdf'));
  await change(at, { line: one!.id, newName: 'x.pdf' }, { line: randomUUID(), newName: 'y.pdf' }).expect(404);
  expect((await trayOf(at)).lines[0]!.newName).toBeNull();
});

test('how files are named is kept for the tray, and a new one begins with it but for its folder', async () => {
  const at = await newTray();
  expect((await trayOf(at)).setup).toEqual(newTraySetup());
  const setup = {
    style: { spaces: 'hyphens', capitals: 'lower', accents: 'plain' },
    ...{ folder: 'D:\\Post', numbers: ['HM-2026-0042'] },
  };
  await anouk.put(at).set('If-Match', '"0"').send({ setup }).expect(200);
  await anouk.put(at).set('If-Match', '"0"').send({ setup }).expect(412);
  await add(at, file('scan.pdf'));
  const next = await trayOf(await newTray());
  expect(next).toMatchObject({ version: 0, setup: { ...setup, folder: '' } });
});

test('what was answered in names that are done is told to who has them, the most frequent first', async () => {
  const at = await newTray();
  const files = await add(at, file('1.pdf'), file('2.pdf'), file('3.pdf'), file('4.pdf'));
  const senders = ['Marsh Water', 'Tern Print', 'Tern Print', 'Not done'];
  await change(
    at,
    ...files.map(({ id }, index) => ({
      ...{ line: id, written: written('x', { Sender: senders[index]! }) },
      ...(index < 3 && { newName: `${index}.pdf` }),
    })),
  ).expect(200);
  const told = (await anouk.get('/api/tray-answers').expect(200)).body as SaidBefore[];
  const own = told.filter(({ words }) => words !== 'Hollin Power');
  expect(own).toEqual([
    { field: 'Sender', words: 'Tern Print', times: 2 },
    { field: 'Sender', words: 'Marsh Water', times: 1 },
  ]);
  expect((await desta.get('/api/tray-answers').expect(200)).body).toEqual([]);
});

test('a tray that is full says so, and keeps what it has', async () => {
  const at = await newTray();
  const of = at.split('/')[3]!;
  await server.context.db.insert(trayLines).values(
    Array.from({ length: TRAY_LIMITS.lines }, (_, position) => ({
      ...{ id: `full-${position}`, case: of, position, folder: '', name: `${position}.pdf`, bytes: 1 },
      ...{ changed: new Date(0), file: null, document: null, words: '', said: {}, version: 1 },
    })),
  );
  const body = (
    await anouk
      .post(`${at}/lines`)
      .send({ files: [file('one more.pdf')] })
      .expect(429)
  ).body as Problem;
  expect(body.detail).toBe('A tray takes 5,000 files at the most. These were not added.');
  expect((await trayOf(at)).lines).toHaveLength(TRAY_LIMITS.lines);
});
