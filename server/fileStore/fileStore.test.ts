import fs from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { startTestServer, type TestServer } from '../testing/testServer';
import { databaseStore } from './databaseStore';
import { FileTooLarge, type FileStore } from './fileStore';
import { folderStore } from './folderStore';
import { mediaOf } from './mediaOf';

let server: TestServer;
let folder: string;
let stores: Record<'folder' | 'database', FileStore>;

beforeAll(async () => {
  server = await startTestServer({ demo: null });
  folder = await fs.mkdtemp(path.join(os.tmpdir(), 'elderleaf-files-'));
  stores = { folder: folderStore(folder), database: databaseStore(server.context.db) };
});
afterAll(async () => {
  await server.close();
  await fs.rm(folder, { recursive: true });
});

async function* comingIn(content: Buffer, sizes: readonly number[]): AsyncIterable<Uint8Array> {
  await Promise.resolve();
  let at = 0;
  for (let next = 0; at < content.length; next += 1) {
    const size = Math.max(1, sizes[next % sizes.length] ?? content.length);
    yield content.subarray(at, at + size);
    at += size;
  }
}
async function all(source: AsyncIterable<Uint8Array>): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  for await (const part of source) parts.push(Uint8Array.from(part));
  return Buffer.concat(parts);
}
const inFolder = async () =>
  (await fs.readdir(folder, { recursive: true, withFileTypes: true })).filter((one) => one.isFile()).length;

describe.each(['folder', 'database'] as const)('a store in a %s', (name) => {
  test('gives back any range of what came in, in whatever pieces it came', async () => {
    const store = stores[name];
    const content = Buffer.from(Array.from({ length: 1_400_000 }, (_, at) => (at * 7919) % 253));
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.integer({ min: 1, max: 700_000 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: content.length }),
        fc.nat(1_000_000),
        fc.nat(1_000_000),
        async (sizes, length, a, b) => {
          const part = content.subarray(0, length);
          const staged = await store.stage(comingIn(part, sizes), length);
          expect(staged.hash).toBe(createHash('sha256').update(part).digest('hex'));
          expect(Buffer.from(staged.head).equals(part.subarray(0, 65_536))).toBe(true);
          await server.context.db.transaction((tx) => staged.keep(tx));
          await staged.drop();
          const [from, to] = [Math.min(a, b) % length, Math.max(a, b) % length].sort((x, y) => x - y) as [
            number,
            number,
          ];
          expect((await all(store.read(staged.hash, from, to))).equals(part.subarray(from, to + 1))).toBe(
            true,
          );
          await server.context.db.transaction((tx) => store.drop(staged.hash, tx));
        },
      ),
      { numRuns: 12 },
    );
  });

  test('keeps nothing of what is too large, nor of what breaks off', async () => {
    const store = stores[name];
    await expect(store.stage(comingIn(Buffer.alloc(101), [10]), 100)).rejects.toBeInstanceOf(FileTooLarge);
    async function* breaking(): AsyncIterable<Uint8Array> {
      yield Buffer.alloc(600_000);
      await Promise.resolve();
      throw new Error('the line broke');
    }
    await expect(store.stage(breaking(), 1_000_000)).rejects.toThrow('the line broke');
    if (name === 'folder') expect(await inFolder()).toBe(0);
  });

  test('lets go of what never came to its end, once it is old', async () => {
    const store = stores[name];
    const staged = await store.stage(comingIn(Buffer.from('left lying'), [3]), 100);
    await store.dropStaged(new Date(Date.now() - 3_600_000));
    await store.dropStaged(new Date(Date.now() + 3_600_000));
    const keep = server.context.db
      .transaction((tx) => staged.keep(tx))
      .then(() => all(store.read(staged.hash, 0, 9)));
    await expect(keep).rejects.toThrow();
  });
});

test('files of the folder are closed to others of the machine', async () => {
  const staged = await stores.folder.stage(comingIn(Buffer.from('secret'), [6]), 100);
  await server.context.db.transaction((tx) => staged.keep(tx));
  const home = path.join(folder, staged.hash.slice(0, 2));
  expect((await fs.stat(home)).mode & 0o777).toBe(0o700);
  expect((await fs.stat(path.join(home, staged.hash))).mode & 0o777).toBe(0o600);
});

test.each([
  ['words', Buffer.from('Gwell nag erioed: 5 µg'), 'a.txt', 'text/plain'],
  ['words cut within a sign', Buffer.from('aé').subarray(0, 2), 'a.md', 'text/markdown'],
  ['an email', Buffer.from('From: a@hollin.example\nSubject: A hedgehog\n\nHelp'), 'a.eml', 'message/rfc822'],
  [
    'sound',
    Buffer.concat([Buffer.from('OggS'), Buffer.alloc(24), Buffer.from('OpusHead')]),
    'a.opus',
    'audio/ogg; codecs=opus',
  ],
  [
    'an archive that is a document',
    Buffer.concat([Buffer.from('PK\u0003\u0004'), Buffer.alloc(60)]),
    'a.docx',
    'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  ],
  [
    'an archive',
    Buffer.concat([Buffer.from('PK\u0003\u0004'), Buffer.alloc(60)]),
    'a.odd',
    'application/zip',
  ],
  ['nothing', Buffer.alloc(0), 'a', 'text/plain'],
  ['bytes', Buffer.from([0x80, 0x81, 0x82, 0x83, 0x84]), 'a.txt', 'application/octet-stream'],
])('%s is told by how it begins', async (_what, head, name, media) => {
  expect(await mediaOf(head, name)).toBe(media);
});
