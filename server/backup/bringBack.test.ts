import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { DraftDocument } from '#core/draft';
import type { Backup, BringingBack, BroughtBack, Compared, Draft, Entry, TrailLine } from '#contracts';
import { draftStates, drafts } from '../db';
import {
  deleting,
  deletionIn,
  keep,
  moving,
  problem,
  saveAs,
  takeSteps,
  wording,
} from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { openBackup } from './readBackup';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let desta: Caller;
let folder: string;

beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-parts-'));
  server = await startTestServer({ backupFolder: folder });
  [imke, odile, desta] = await Promise.all([server.as('imke'), server.as('odile'), server.as('desta')]);
});
afterAll(async () => {
  await server.close();
  fs.rmSync(folder, { recursive: true, force: true });
});

/** The last line of a long answer. */
const lastOf = <T>(text: string) => (JSON.parse(text.trim().split('\n').at(-1)!) as { result: T }).result;
type Refusable<T> = { state: 'done'; result: T } | { state: 'refused'; why: string };
const done = <T>(told: Refusable<T>): T => {
  if (told.state === 'refused') throw new Error(told.why);
  return told.result;
};
let hour = 0;
/** Makes a backup; each at an hour of its own, since it is called by its moment. */
const backUp = async (): Promise<string> => {
  hour += 1;
  server.context.now = () => new Date(Date.UTC(2026, 10, 24, 10 + hour));
  const made = done(lastOf<Refusable<Backup>>((await imke.post('/api/backups').expect(200)).text));
  hour += 1;
  server.context.now = () => new Date(Date.UTC(2026, 10, 24, 10 + hour));
  return made.name;
};
const compared = async (who: Caller, backup: string) =>
  done(
    lastOf<Refusable<Compared>>((await who.post('/api/backups/compared').send({ backup }).expect(200)).text),
  );
const bringBack = (who: Caller, backup: string, what: Partial<BringingBack>) =>
  who.post('/api/backups/brought-back').send({ backup, collections: [], cases: [], ...what });
const made = async (collection: string, title: string, text: string, cue?: string) =>
  (await keep(imke, collection, wording(title, text, cue)).expect(201)).body as Entry;
const entry = async (id: string) => (await imke.get(`/api/entries/${id}`).expect(200)).body as Entry;

let place: string;
beforeEach(async () => {
  const settings = {
    ...{ leadIn: ';', kindsOfWork: [], language: 'en-GB', parent: null },
    cueRules: ((await imke.get('/api/bank')).body as { collections: { cueRules: object }[] }).collections[0]!
      .cueRules,
  };
  const sent = await imke
    .post('/api/collections')
    .send({ ...settings, name: `Tides ${hour}` })
    .expect(201);
  place = (sent.body as { id: string }).id;
});

describe('a collection as it was', () => {
  test('what was changed, deleted and gone for good comes back, what came since goes; one undo', async () => {
    const changed = await made(place, 'Changed', 'It turns.', 'turns');
    const deleted = await made(place, 'Deleted', 'It goes.', 'goes');
    const purged = await made(place, 'Purged', 'It went.', 'went');
    await saveAs(imke, purged.id, 1, wording('Purged', 'It went out.', 'went')).expect(200);
    const same = await made(place, 'Same', 'It stays.');
    const backup = await backUp();
    await saveAs(imke, changed.id, 1, wording('Changed', 'It turned.', 'turned')).expect(200);
    await deleting(imke, [deleted.id]).expect(200);
    const deletion = deletionIn(await deleting(imke, [purged.id]).expect(200));
    await imke.delete(`/api/wastebasket/${deletion}`).expect(204);
    const since = await made(place, 'Since', 'It came.', 'turns');

    const told = (await compared(imke, backup)).collections.find(({ id }) => id === place);
    expect(told).toMatchObject({
      state: 'here',
      gone: { count: 2, titles: ['Deleted', 'Purged'] },
      changed: { count: 1, titles: ['Changed'] },
      since: { count: 1, titles: ['Since'] },
    });

    const asked = { collections: [{ id: place, withSince: true }] };
    const came = (await bringBack(imke, backup, asked).expect(200)).body as BroughtBack;
    expect(came).toMatchObject({ entries: 3, lostCues: [] });
    expect(await entry(changed.id)).toMatchObject({
      revision: 3,
      reason: 'As in the backup of 24 November 2026',
      content: changed.content,
    });
    expect((await entry(deleted.id)).content).toEqual(deleted.content);
    expect(await entry(purged.id)).toMatchObject({ revision: 2, content: { title: 'Purged' } });
    const history = (await imke.get(`/api/entries/${purged.id}/revisions`).expect(200)).body as unknown[];
    expect(history).toHaveLength(2);
    expect(await entry(same.id)).toMatchObject({ revision: 1 });
    await imke.get(`/api/entries/${since.id}`).expect(404);
    // Cues bring what they brought, and words find it.
    await keep(imke, place, wording('Other', 'Words.', 'went')).expect(409);
    expect((await compared(imke, backup)).collections.find(({ id }) => id === place)).toBeUndefined();

    const { reverts, back, deletions } = came.undo;
    await takeSteps(
      imke,
      { do: 'revert', entries: reverts, reason: 'Undone' },
      { do: 'delete', entries: back },
      ...deletions.map((one) => ({ do: 'restore', deletion: one })),
    ).expect(200);
    expect((await entry(changed.id)).content.cues).toMatchObject([{ text: 'turned' }]);
    expect((await entry(since.id)).content.cues).toMatchObject([{ text: 'turns' }]);
    await imke.get(`/api/entries/${deleted.id}`).expect(404);
    // The state before it is in a backup of its own.
    expect(fs.readdirSync(folder).filter((name) => name.includes('before-restore'))).not.toEqual([]);
  });

  test('what came since stays unless it is asked for; a cue that it has by now is told and not taken', async () => {
    const gone = await made(place, 'Gone', 'It goes.', 'goes');
    const backup = await backUp();
    await deleting(imke, [gone.id]).expect(200);
    const since = await made(place, 'Since', 'It came.', 'goes');
    const came = (
      await bringBack(imke, backup, { collections: [{ id: place, withSince: false }] }).expect(200)
    ).body as BroughtBack;
    expect(came.lostCues).toEqual([{ title: 'Gone', cue: 'goes' }]);
    expect((await entry(since.id)).content.cues).toHaveLength(1);
    expect(await entry(gone.id)).toMatchObject({ revision: 2, content: { cues: [] } });
  });

  test('that was deleted, or is gone for good, is there again with all in it', async () => {
    const one = await made(place, 'One', 'It turns.', 'one');
    const backup = await backUp();
    await takeSteps(imke, { do: 'drop', collection: place }).expect(200);
    expect((await compared(imke, backup)).collections).toContainEqual(
      expect.objectContaining({ id: place, state: 'deleted', gone: { count: 1, titles: ['One'] } }),
    );
    const [{ id: deletion }] = (await imke.get('/api/wastebasket').expect(200)).body as [{ id: string }];
    for (const isPurged of [false, true]) {
      if (isPurged) {
        await takeSteps(imke, { do: 'drop', collection: place }).expect(200);
        const [{ id }] = (await imke.get('/api/wastebasket').expect(200)).body as [{ id: string }];
        expect(id).not.toBe(deletion);
        await imke.delete(`/api/wastebasket/${id}`).expect(204);
        expect((await compared(imke, backup)).collections).toContainEqual(
          expect.objectContaining({ id: place, state: 'gone' }),
        );
      }
      await bringBack(imke, backup, { collections: [{ id: place, withSince: false }] }).expect(200);
      expect((await entry(one.id)).content).toEqual(one.content);
    }
    // It is kept by whoever kept it, and goes on as any.
    await made(place, 'Two', 'It turns.', 'two');
  });

  test('comes back from the oldest of the backups before large acts too, which goes for the one that is made first', async () => {
    const gone = await made(place, 'Gone', 'It goes.');
    const backup = await backUp();
    const oldest = 'elderleaf-2026-01-01-000000-before-import.zip';
    fs.renameSync(path.join(folder, backup), path.join(folder, oldest));
    for (let at = 1; at < 10; at += 1)
      fs.writeFileSync(path.join(folder, `elderleaf-2026-02-0${at}-000000-before-import.zip`), '');
    await deleting(imke, [gone.id]).expect(200);
    await bringBack(imke, oldest, { collections: [{ id: place, withSince: false }] }).expect(200);
    expect((await entry(gone.id)).content).toEqual(gone.content);
    expect(fs.existsSync(path.join(folder, oldest))).toBe(false);
  });

  test('an entry that was moved on since stays where it is', async () => {
    const moved = await made(place, 'Moved', 'It turns.');
    const backup = await backUp();
    await moving(imke, [moved.id], 'ward').expect(200);
    await bringBack(imke, backup, { collections: [{ id: place, withSince: true }] }).expect(200);
    expect((await entry(moved.id)).collection).toBe('ward');
  });

  test('is brought back by its keepers alone, and shown to nobody else', async () => {
    await made(place, 'Secret', 'It turns.');
    const backup = await backUp();
    await takeSteps(imke, { do: 'drop', collection: place }).expect(200);
    expect(JSON.stringify(await compared(odile, backup))).not.toContain('Secret');
    await bringBack(odile, backup, { collections: [{ id: place, withSince: true }] }).expect(404);
  });
});

describe('a case', () => {
  const written = (document: DraftDocument, text: string): DraftDocument => ({
    ...document,
    content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
  });

  test('one’s own text that is gone for good comes back; what reads otherwise is among its earlier texts', async () => {
    const { db } = server.context;
    const { id, document } = (await odile.post('/api/cases/swan-keel/drafts')).body as Draft;
    const write = (text: string) =>
      db
        .update(drafts)
        .set({ document: written(document, text) })
        .where(eq(drafts.id, id));
    await write('Written then.');
    const backup = await backUp();
    await db.delete(drafts).where(eq(drafts.id, id));
    const told = await compared(odile, backup);
    expect(told.cases.find((one) => one.id === 'swan-keel')?.gone.count).toBe(1);
    expect(told.people).toBeNull();
    const came = await bringBack(odile, backup, { cases: ['swan-keel'] }).expect(200);
    expect(came.body).toMatchObject({ drafts: 1, entries: 0 });
    const there = async () => (await odile.get(`/api/drafts/${id}`).expect(200)).body as Draft;
    expect((await there()).document).toEqual(written(document, 'Written then.'));

    await write('Written since.');
    expect((await compared(odile, backup)).cases[0]?.changed.count).toBe(1);
    await bringBack(odile, backup, { cases: ['swan-keel'] }).expect(200);
    expect((await there()).document).toEqual(written(document, 'Written since.'));
    const states = await db.select().from(draftStates).where(eq(draftStates.draft, id));
    expect(states).toContainEqual(expect.objectContaining({ why: 'from-backup', excerpt: 'Written then.' }));
  });

  test('a file that is gone for good comes back with its bytes; of others’ cases nothing does', async () => {
    const file = '5b0c2a2e-6c3a-4a57-9f0f-1f8a2f4f0c11';
    const name = { 'Elderleaf-Name': 'map.txt', 'Content-Type': 'application/octet-stream' };
    const words = `The way to the hide ${hour}.`;
    await odile.put(`/api/cases/swan-keel/files/${file}`).set(name).send(Buffer.from(words)).expect(201);
    const backup = await backUp();
    const { id } = (await odile.delete(`/api/cases/swan-keel/files/${file}`).expect(200)).body as {
      id: string;
    };
    await odile.delete(`/api/wastebasket/${id}`).expect(204);
    await bringBack(desta, backup, { cases: ['swan-keel'] }).expect(404);
    expect((await compared(odile, backup)).cases[0]?.files).toEqual({ count: 1, titles: ['map.txt'] });
    await bringBack(odile, backup, { cases: ['swan-keel'] }).expect(200);
    const { text } = await odile.get(`/api/cases/swan-keel/files/${file}`).expect(200);
    expect(text).toBe(words);
  });
});

describe('for owners', () => {
  test('the list, the file, the trail; others see neither where they are nor take one', async () => {
    const backup = await backUp();
    const told = (await odile.get('/api/backups').expect(200)).body as { folder: null; backups: Backup[] };
    expect(told.folder).toBeNull();
    expect(told.backups[0]?.name).toBe(backup);
    await odile.get(`/api/backups/${backup}/file`).expect(403);
    await odile.post('/api/backups').expect(403);
    const file = await imke
      .get(`/api/backups/${backup}/file`)
      .buffer(true)
      .parse((res, give) => {
        const parts: Buffer[] = [];
        res.on('data', (part: Buffer) => parts.push(part));
        res.on('end', () => give(null, Buffer.concat(parts)));
      });
    expect((file.body as Buffer).equals(fs.readFileSync(path.join(folder, backup)))).toBe(true);
    await imke.get(`/api/backups/${encodeURIComponent('../../etc/passwd')}/file`).expect(404);
    await imke.delete(`/api/backups/${backup}`).expect(204);
    expect(fs.existsSync(path.join(folder, backup))).toBe(false);
    const asked = { about: 'backups', by: null, from: null, until: null, before: null };
    const { lines } = (await imke.post('/api/trail').send(asked).expect(200)).body as { lines: TrailLine[] };
    expect(lines.slice(0, 3).map(({ act, subject }) => [act, subject])).toEqual([
      ['backup-deleted', backup],
      ['backup-downloaded', backup],
      ['backup-made', backup],
    ]);
    const room = (await imke.get('/api/room').expect(200)).body as {
      parts: { name: string; bytes: number }[];
    };
    expect(room.parts.find(({ name }) => name.startsWith('Entries'))!.bytes).toBeGreaterThan(0);
  });

  test('encrypted with a passphrase it is opened with that alone, and looked into as any', async () => {
    const { settings } = server.context;
    const before = settings.backupPassphrase;
    settings.backupPassphrase = 'a long passphrase';
    const gone = await made(place, 'Encrypted', 'It turns.');
    const backup = await backUp();
    expect(backup).toMatch(/\.zip\.age$/);
    const file = path.join(folder, backup);
    expect(fs.readFileSync(file).includes('tables/entries')).toBe(false);
    await deleting(imke, [gone.id]).expect(200);
    expect((await compared(imke, backup)).collections.find(({ id }) => id === place)?.gone.count).toBe(1);
    await expect(openBackup(file, null)).rejects.toThrow(/is encrypted\. Nothing was restored; set/);
    await expect(openBackup(file, 'another passphrase')).rejects.toThrow(/is not its passphrase/);
    settings.backupPassphrase = before;
  });

  test('a backup that is damaged or not there is refused in words', async () => {
    const name = 'elderleaf-2026-01-01-000000-daily.zip';
    fs.writeFileSync(path.join(folder, name), 'no archive');
    const answer = await imke.post('/api/backups/compared').send({ backup: name }).expect(200);
    expect(lastOf<{ why: string }>(answer.text).why).toContain('cannot be read as a backup');
    const refused = await bringBack(imke, 'other.zip', {}).expect(422);
    expect(problem(refused).detail).toContain('not there any more');
  });
});

test('before many entries are brought in or changed a backup is made, and it is of the moment before', async () => {
  const all: Entry[] = [];
  for (let at = 0; at < 100; at += 1) all.push(await made(place, `Many ${at}`, 'It turns.'));
  const before = new Set(fs.readdirSync(folder));
  await deleting(
    imke,
    all.map(({ id }) => id),
  ).expect(200);
  await backUp();
  const fresh = fs.readdirSync(folder).filter((name) => !before.has(name) && name.includes('before-change'));
  expect(fresh).toHaveLength(1);
  expect((await compared(imke, fresh[0]!)).collections.find(({ id }) => id === place)?.gone.count).toBe(100);
});
