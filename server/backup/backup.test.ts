import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import yazl from 'yazl';
import type { Entry } from '#contracts';
import { openStore, schemaKnown, type Database, type Store } from '../db';
import { folderStore } from '../fileStore';
import { keep, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { backupCommand, restoreCommand, showCommand } from './commands';
import { makeDailyBackup } from './keepBackup';
import { openBackup } from './readBackup';
import { embeddedSnapshot, serverSnapshot, type Snapshot } from './snapshot';
import { storedTables } from './tables';
import { writeBackup } from './writeBackup';

let here: TestServer;
let imke: Caller;
let folder: string;
let file: string;
const isEmbedded = !process.env.TEST_DATABASE_URL;

beforeAll(async () => {
  here = await startTestServer();
  imke = await here.as('imke');
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-backups-'));
  file = path.join(folder, 'all.zip');
});
afterAll(async () => {
  await here.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

const backed = (server: TestServer) => ({
  ...{ db: server.context.db, files: server.context.files, isEmbedded },
  ...{
    schema: schemaKnown(),
    version: '0',
    passphrase: null,
    now: () => new Date('2026-11-29T10:00:00.000Z'),
  },
});

/** All rows of all tables, each table in one order. */
async function contents(db: Database): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const { name } of await storedTables(db)) {
    const { rows } = (await db.execute(
      sql`select to_jsonb(t)::text as row from ${sql.identifier(name)} t`,
    )) as { rows: { row: string }[] };
    all[name] = rows.map(({ row }) => row).sort();
  }
  return all;
}

const place = (name: string) => ({
  dataFolder: path.join(folder, name),
  databaseUrl: null,
  backupFolder: null,
  backupPassphrase: null,
});
const opened = async <T>(name: string, work: (store: Store) => Promise<T>): Promise<T> => {
  const store = await openStore({ folder: path.join(folder, name) });
  try {
    return await work(store);
  } finally {
    await store.close();
  }
};

test('all of a store goes into a file and comes back the same in an empty place, every table row by row, files by their bytes', async () => {
  const sent = await imke
    .post('/api/files')
    .set('Content-Type', 'application/octet-stream')
    .set('Elderleaf-Name', 'map.txt')
    .send(Buffer.from('The way to the hide.'))
    .expect(201);
  const { hash, bytes, media, name } = sent.body as {
    hash: string;
    bytes: number;
    media: string;
    name: string;
  };
  await keep(imke, 'ward', {
    ...wording('With a file', 'See the map.'),
    files: [{ hash, bytes, media, name }],
  }).then((kept) => expect(kept.status).toBe(201));
  const before = await contents(here.context.db);
  const made = await writeBackup(backed(here), file);
  expect(made.files).toBe(before.file_contents!.length);
  // What notes changes while it runs is gone.
  expect(await contents(here.context.db)).toEqual(before);
  const restored = await restoreCommand(place('one'), '0', file, false);
  expect(restored).toMatchObject({
    rows: made.rows,
    files: made.files,
    before: null,
    madeAt: '2026-11-29T10:00:00.000Z',
  });
  await opened('one', async ({ db }) => {
    expect(await contents(db)).toEqual(before);
    const parts: Uint8Array[] = [];
    for await (const part of folderStore(path.join(folder, 'one', 'files')).read(hash, 0, bytes - 1))
      parts.push(part);
    expect(Buffer.concat(parts).toString()).toBe('The way to the hide.');
    // Numbers that the store gives itself go on behind those that came in.
    const [last] = (
      (await db.execute(
        sql`select nextval(pg_get_serial_sequence('trail', 'id')) as next, (select max(id) from trail) as last`,
      )) as { rows: { next: number; last: number }[] }
    ).rows;
    expect(Number(last!.next)).toBeGreaterThan(Number(last!.last));
  });
});

test('a place with a team in it is not taken without being told so; replaced, what was there is kept', async () => {
  await expect(restoreCommand(place('one'), '0', file, false)).rejects.toThrow(
    /has a team in it\. Nothing was restored\. Add --replace/,
  );
  const { before } = await restoreCommand(place('one'), '0', file, true);
  expect(fs.existsSync(path.join(before!, 'database'))).toBe(true);
  expect(fs.existsSync(path.join(folder, 'one', 'database'))).toBe(true);
});

test('what a restore would change is told before it is done, and nothing is changed by telling', async () => {
  const shown = await showCommand(place('one'), file);
  expect(shown.every(({ back, changed, gone }) => back + changed + gone === 0)).toBe(true);
  await opened('one', async ({ db }) => {
    await db.execute(sql`update cases set title = 'Another' where id = 'swan-keel'`);
    await db.execute(
      sql`insert into members (id, name, email, role, created_at) values ('new', 'New', 'new@hollin.example', 'member', now())`,
    );
    await db.execute(sql`delete from glossaries`);
  });
  const said = await showCommand(place('one'), file);
  const of = (what: string) => said.find((one) => one.what === what);
  expect(of('Cases')).toEqual({ what: 'Cases', back: 0, changed: 1, gone: 0 });
  expect(of('People')).toEqual({ what: 'People', back: 0, changed: 0, gone: 1 });
  expect(of('Glossaries')!.back).toBeGreaterThan(0);
  expect(of('Entries')).toEqual({ what: 'Entries', back: 0, changed: 0, gone: 0 });
});

test('it is of one moment, whatever people save, make and delete while it is read', async () => {
  const { db } = here.context;
  const kept: Entry[] = [];
  for (let at = 0; at < 30; at += 1)
    kept.push((await keep(imke, 'ward', wording(`Tide ${at}`, 'It turns.'))).body as Entry);
  const before = await contents(db);
  const read: Record<string, string[]> = {};
  const work = async (snapshot: Snapshot) => {
    let next = 0;
    for (const table of snapshot.tables) {
      // Before each table somebody changes one entry, deletes one and makes one: in tables already read, and in those to come.
      const own = kept[next % kept.length]!;
      next += 1;
      await saveAs(imke, own.id, 1, wording(own.content.title, 'It turned.'));
      await imke
        .post('/api/entries/steps')
        .send({ steps: [{ do: 'delete', entries: [kept[(next + 7) % kept.length]!.id] }] });
      await keep(imke, 'ward', wording(`New ${next}`, 'It came.'));
      const rows: string[] = [];
      for await (const some of snapshot.rows(table)) rows.push(...some.map((row) => JSON.stringify(row)));
      read[table.name] = rows;
    }
  };
  await (isEmbedded ? embeddedSnapshot(db, work) : serverSnapshot(db, work));
  const inOrder = (rows: readonly string[]) =>
    rows
      .map((row) =>
        JSON.stringify(Object.entries(JSON.parse(row) as object).sort(([a], [b]) => (a < b ? -1 : 1))),
      )
      .sort();
  for (const name of Object.keys(before))
    expect([name, inOrder(read[name]!)]).toEqual([name, inOrder(before[name]!)]);
  expect((await contents(db)).entries).not.toEqual(before.entries);
});

// Where the tests run on a PostgreSQL server, the store backed up is one too.
(isEmbedded ? test.skip : test)(
  'a team moves from the embedded store to a PostgreSQL server and back by backup and restore, every table the same',
  async () => {
    const before = await opened('one', ({ db }) => contents(db));
    const moved = path.join(folder, 'moved.zip');
    await backupCommand(place('one'), '0', moved);
    const url = new URL(process.env.TEST_DATABASE_URL!);
    const admin = new pg.Client({ connectionString: url.href });
    await admin.connect();
    const name = `moved_${randomUUID().replaceAll('-', '')}`;
    await admin.query(`create database ${name}`);
    url.pathname = `/${name}`;
    try {
      const server = { ...place('server'), databaseUrl: url.href, backupFolder: folder };
      await restoreCommand(server, '0', moved, false);
      await expect(restoreCommand(server, '0', moved, false)).rejects.toThrow(/has a team in it/);
      const store = await openStore({ url: url.href });
      const restored = await contents(store.db);
      await store.close();
      expect(restored).toEqual(before);
      const back = path.join(folder, 'back.zip');
      await backupCommand(server, '0', back);
      const { before: kept } = await restoreCommand(server, '0', back, true);
      expect(fs.existsSync(kept!)).toBe(true);
      await restoreCommand(place('back'), '0', back, false);
      expect(await opened('back', ({ db }) => contents(db))).toEqual(before);
    } finally {
      await admin.query(`drop database if exists ${name} with (force)`);
      await admin.end();
    }
  },
);

describe('what is no backup, or a damaged one, is refused in words, and nothing is made', () => {
  const zip = (parts: Record<string, string>) =>
    new Promise<string>((resolve) => {
      const made = new yazl.ZipFile();
      for (const [name, text] of Object.entries(parts)) made.addBuffer(Buffer.from(text), name);
      const to = path.join(folder, 'made.zip');
      made.outputStream.pipe(fs.createWriteStream(to)).on('close', () => resolve(to));
      made.end();
    });
  const manifest = (over: object) =>
    JSON.stringify({
      ...{
        format: 'elderleaf-backup',
        version: 1,
        madeAt: '2026-11-29T10:00:00.000Z',
        madeBy: '0',
        schema: schemaKnown(),
      },
      ...{ tables: [], parts: [] },
      ...over,
    });
  const refused = async (at: string, said: RegExp) => {
    await expect(restoreCommand(place('none'), '0', at, false)).rejects.toThrow(said);
    expect(fs.existsSync(path.join(folder, 'none'))).toBe(false);
    expect(fs.existsSync(path.join(folder, 'none.restoring'))).toBe(false);
  };

  test('no archive, one of something else, one of a later Elderleaf, one that lies about itself', async () => {
    const text = path.join(folder, 'text.zip');
    fs.writeFileSync(text, 'not a zip');
    await refused(text, /cannot be read as a backup/);
    await refused(await zip({ 'a.txt': 'a' }), /is not a backup of Elderleaf/);
    await refused(await zip({ 'manifest.json': '{"form' }), /is damaged/);
    await refused(await zip({ 'manifest.json': manifest({ version: 2 }) }), /made by a later Elderleaf/);
    await refused(
      await zip({ 'manifest.json': manifest({ schema: schemaKnown() + 1 }) }),
      /made by a later Elderleaf/,
    );
    const members = { name: 'tables/members.ndjson', bytes: 3, sha256: 'a'.repeat(64) };
    await refused(
      await zip({ 'manifest.json': manifest({ parts: [members] }) }),
      /members\.ndjson is missing/,
    );
    const tables = [{ name: 'members', columns: ['id'], rows: 1 }];
    await refused(
      await zip({ 'manifest.json': manifest({ tables, parts: [members] }), 'tables/members.ndjson': '{}\n' }),
      /members\.ndjson is not what was written/,
    );
    await refused(
      await zip({ 'manifest.json': manifest({ tables: [{ name: 'x; drop', columns: [], rows: 0 }] }) }),
      /not what a backup says/,
    );
  });

  test('one of which a byte is another, wherever it is', async () => {
    const whole = fs.readFileSync(file);
    const { manifest: said, close } = await openBackup(file, null);
    close();
    // Within a file, which lies there as it is, and within a table, which is packed.
    for (const place of ['The way to the hide.', 'tables/entries.ndjson']) {
      const damaged = Buffer.from(whole);
      const at = damaged.indexOf(place) + place.length + (place.startsWith('tables') ? 200 : -3);
      damaged[at] = damaged[at]! ^ 0xff;
      fs.writeFileSync(path.join(folder, 'damaged.zip'), damaged);
      await refused(path.join(folder, 'damaged.zip'), /damaged|not what was written/);
    }
    fs.writeFileSync(path.join(folder, 'short.zip'), whole.subarray(0, whole.length / 2));
    await refused(path.join(folder, 'short.zip'), /cannot be read as a backup|is damaged/);
    expect(said.tables.length).toBeGreaterThan(40);
  });
});

test('a store of an earlier Elderleaf is backed up before it is changed; one of a later is refused in a sentence', async () => {
  const earlier = path.join(folder, 'earlier');
  const upTo = schemaKnown() - 2;
  await (await openStore({ folder: earlier }, undefined, { upTo })).close();
  const told: number[] = [];
  const store = await openStore({ folder: earlier }, undefined, {
    beforeUpgrade: async (db, schema) => {
      told.push(schema);
      const to = path.join(folder, 'before.zip');
      await writeBackup({ ...backed(here), db, schema, isEmbedded: true, files: folderStore(earlier) }, to);
    },
  });
  expect(told).toEqual([upTo]);
  await store.db.execute(
    sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 9999999999999)`,
  );
  await store.close();
  await expect(openStore({ folder: earlier })).rejects.toThrow(/last used by a later Elderleaf/);
  // The backup of the earlier schema is restored as such, and brought up to date.
  await restoreCommand(place('again'), '0', path.join(folder, 'before.zip'), false);
  await opened('again', async ({ db }) =>
    expect((await storedTables(db)).map(({ name }) => name)).toContain('imports'),
  );
});

test('the daily backup is made once a day; older ones go, and so does what is left of one that was ended', async () => {
  const daily = path.join(folder, 'daily');
  fs.mkdirSync(daily);
  const old = ['elderleaf-2024-01-02-010000-daily.zip', 'elderleaf-2024-01-02-030000-daily.zip'];
  for (const name of [...old, 'mine.zip', 'elderleaf-2026-11-01-030000-daily.zip.part'])
    fs.writeFileSync(path.join(daily, name), '');
  fs.utimesSync(path.join(daily, 'elderleaf-2026-11-01-030000-daily.zip.part'), 0, 0);
  const { settings } = here.context;
  const context = {
    ...here.context,
    settings: { ...settings, backupFolder: daily },
    now: () => new Date('2026-11-29T10:00:00.000Z'),
  };
  expect(await makeDailyBackup(context)).not.toBeNull();
  expect(await makeDailyBackup(context)).toBeNull();
  expect(fs.readdirSync(daily).sort()).toEqual([
    'elderleaf-2024-01-02-030000-daily.zip',
    'elderleaf-2026-11-29-100000-daily.zip',
    'mine.zip',
  ]);
  expect(await makeDailyBackup(here.context)).toBeNull();
});
