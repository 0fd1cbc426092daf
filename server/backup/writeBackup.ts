import { createHash } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import type { Database } from '../db';
import type { FileStore } from '../fileStore';
import { encrypted } from './encryption';
import { filePart, MANIFEST, READ_ME, tablePart, type Manifest } from './manifest';
import { embeddedSnapshot, serverSnapshot, type Snapshot } from './snapshot';

/** What is backed up, and as what. */
export interface BackedUp {
  db: Database;
  files: FileStore;
  isEmbedded: boolean;
  /** How many changes of the schema the store has. */
  schema: number;
  version: string;
  now: () => Date;
  /** What it is encrypted with; null for none. */
  passphrase: string | null;
}

/** What a backup came to. */
export interface MadeBackup {
  file: string;
  bytes: number;
  rows: number;
  files: number;
}

type Part = Manifest['parts'][number];

/** A stream that is measured as it passes: its size and SHA-256 are told once it has ended. */
async function* measuring(source: AsyncIterable<Uint8Array>, name: string, told: (part: Part) => void) {
  const hash = createHash('sha256');
  let bytes = 0;
  for await (const piece of source) {
    hash.update(piece);
    bytes += piece.length;
    yield piece;
  }
  told({ name, bytes, sha256: hash.digest('hex') });
}

async function* linesOf(
  rows: AsyncIterable<object[]>,
  told: (count: number) => void,
): AsyncIterable<Uint8Array> {
  let count = 0;
  for await (const some of rows) {
    count += some.length;
    yield Buffer.from(some.map((row) => `${JSON.stringify(row)}\n`).join(''));
  }
  told(count);
}

/** The files that the store has, each once, with its size in bytes. */
async function filesIn(snapshot: Snapshot): Promise<{ hash: string; bytes: number }[]> {
  const table = snapshot.tables.find(({ name }) => name === 'file_contents')!;
  const found: { hash: string; bytes: number }[] = [];
  for await (const rows of snapshot.rows(table))
    for (const { hash, bytes } of rows) found.push({ hash: String(hash), bytes: Number(bytes) });
  return found;
}

async function* countedBytes(source: AsyncIterable<Uint8Array>, told: (bytes: number) => void) {
  for await (const piece of source) {
    told(piece.length);
    yield piece;
  }
}

async function* textOf(text: () => string): AsyncIterable<Uint8Array> {
  await Promise.resolve();
  yield Buffer.from(text());
}

async function writeSnapshot(
  backed: BackedUp,
  snapshot: Snapshot,
  file: string,
  tell: (progress: number) => void,
): Promise<Omit<MadeBackup, 'file' | 'bytes'>> {
  const zip = new yazl.ZipFile();
  const madeAt = backed.now();
  const parts: Manifest['parts'] = [];
  const tables: Manifest['tables'] = [];
  const out = fs.createWriteStream(file, { mode: 0o600 });
  const files = await filesIn(snapshot);
  const fileBytes = files.reduce((sum, { bytes }) => sum + bytes, 0);
  // The tables count as half of it, of which each is as much as another.
  const ofTable = Math.max(1, fileBytes / snapshot.tables.length);
  const all = ofTable * snapshot.tables.length + fileBytes;
  let done = 0;
  const did = (more: number) => tell((done += more) / all);
  /** Adds a part whose stream is asked for once the parts before it are written. */
  const add = (name: string, compress: boolean, make: () => AsyncIterable<Uint8Array>) =>
    zip.addReadStreamLazy(name, { compress, mtime: madeAt }, (give) => {
      const stream = Readable.from(make(), { objectMode: false });
      stream.on('error', (error) => out.destroy(error));
      give(null, stream);
    });
  const addMeasured = (name: string, compress: boolean, make: () => AsyncIterable<Uint8Array>) =>
    add(name, compress, () => measuring(make(), name, (part) => parts.push(part)));
  add('README.txt', false, () => textOf(() => READ_ME));
  for (const table of snapshot.tables) {
    const { name, columns } = table;
    const count = (rows: number) => {
      tables.push({ name, columns, rows });
      did(ofTable);
    };
    addMeasured(tablePart(name), true, () => linesOf(snapshot.rows(table), count));
  }
  // Pictures and sounds are packed already; nothing is gained by packing them again.
  for (const { hash, bytes } of files)
    addMeasured(filePart(hash), false, () =>
      bytes === 0 ? textOf(() => '') : countedBytes(backed.files.read(hash, 0, bytes - 1), did),
    );
  add(MANIFEST, true, () =>
    textOf(() => {
      const manifest: Manifest = {
        ...{ format: 'elderleaf-backup', version: 1, madeAt: madeAt.toISOString(), madeBy: backed.version },
        ...{ schema: backed.schema, tables, parts },
      };
      return JSON.stringify(manifest, null, 1);
    }),
  );
  zip.end();
  const packed = zip.outputStream as unknown as Readable;
  await pipeline(backed.passphrase === null ? packed : await encrypted(packed, backed.passphrase), out);
  return { rows: tables.reduce((sum, { rows }) => sum + rows, 0), files: files.length };
}

/**
 * Writes all that the store has into one file, as of one moment, while people go on. A file of that name is there once it is whole, or not
 * at all. `tell` hears how far it is, from 0 to 1. Throws what the store or the disk does.
 */
export async function writeBackup(
  backed: BackedUp,
  file: string,
  tell: (progress: number) => void = () => undefined,
): Promise<MadeBackup> {
  fs.mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 });
  const waiting = `${file}.part`;
  const work = (snapshot: Snapshot) => writeSnapshot(backed, snapshot, waiting, tell);
  try {
    const made = await (backed.isEmbedded
      ? embeddedSnapshot(backed.db, work)
      : serverSnapshot(backed.db, work));
    const handle = fs.openSync(waiting, 'r+');
    fs.fsyncSync(handle);
    fs.closeSync(handle);
    fs.renameSync(waiting, file);
    return { file, bytes: fs.statSync(file).size, ...made };
  } catch (error) {
    fs.rmSync(waiting, { force: true });
    throw error;
  }
}
