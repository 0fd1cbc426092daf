import { createHash, randomUUID } from 'node:crypto';
import fs from 'node:fs';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { text } from 'node:stream/consumers';
import yauzl from 'yauzl';
import { decrypted, isEncrypted } from './encryption';
import { ManifestSchema, MANIFEST, type Manifest } from './manifest';

/** A file that is no backup, or a damaged one, in words for people. */
export class NotBackup extends Error {}

/** A backup that is open: what it says of itself, and its parts. */
export interface OpenBackup {
  manifest: Manifest;
  /** The bytes of a part; throws a NotBackup where they are not those that were written. */
  read: (name: string) => AsyncIterable<Uint8Array>;
  close: () => void;
}

const MOST_MANIFEST_BYTES = 50_000_000;

function openZip(plain: string, file: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(plain, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) =>
      error ? reject(new NotBackup(`${file} cannot be read as a backup: ${error.message}.`)) : resolve(zip),
    );
  });
}

/** The entries of an archive by their names; names that climb out of it are refused by its reader. */
function entriesOf(zip: yauzl.ZipFile, file: string): Promise<Map<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const found = new Map<string, yauzl.Entry>();
    zip.on('entry', (entry: yauzl.Entry) => {
      found.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', () => resolve(found));
    zip.on('error', (error: Error) => reject(new NotBackup(`${file} is damaged: ${error.message}.`)));
    zip.readEntry();
  });
}

const streamOf = (zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Readable> =>
  new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => (error ? reject(error) : resolve(stream)));
  });

async function manifestOf(
  zip: yauzl.ZipFile,
  entries: ReadonlyMap<string, yauzl.Entry>,
  file: string,
): Promise<Manifest> {
  const entry = entries.get(MANIFEST);
  if (!entry)
    throw new NotBackup(`${file} is not a backup of Elderleaf: it has no ${MANIFEST}. Nothing was restored.`);
  if (entry.uncompressedSize > MOST_MANIFEST_BYTES)
    throw new NotBackup(
      `${file} is not a backup of Elderleaf: its ${MANIFEST} is too large. Nothing was restored.`,
    );
  let held: unknown;
  try {
    held = JSON.parse(await text(await streamOf(zip, entry)));
  } catch (error) {
    throw new NotBackup(`${file} is damaged: ${(error as Error).message}. Nothing was restored.`);
  }
  const { version } = (held ?? {}) as { version?: unknown };
  if (typeof version === 'number' && version > 1)
    throw new NotBackup(
      `${file} was made by a later Elderleaf than this one. Nothing was restored; update Elderleaf first.`,
    );
  const read = ManifestSchema.safeParse(held);
  if (!read.success)
    throw new NotBackup(
      `The ${MANIFEST} of ${file} is not what a backup says: ${read.error.issues[0]?.path.join('.')}. Nothing was restored.`,
    );
  return read.data;
}

/** A backup as the archive it is: decrypted beside it where a passphrase opens it, for as long as it is read. */
async function plainOf(
  file: string,
  passphrase: string | null,
): Promise<{ plain: string; drop: () => void }> {
  if (!fs.existsSync(file) || !isEncrypted(file)) return { plain: file, drop: () => undefined };
  if (passphrase === null)
    throw new NotBackup(
      `${file} is encrypted. Nothing was restored; set ELDERLEAF_BACKUP_PASSPHRASE to its passphrase.`,
    );
  const plain = `${file}.${randomUUID()}.part`;
  const drop = () => fs.rmSync(plain, { force: true });
  try {
    const source = await decrypted(fs.createReadStream(file), passphrase);
    await pipeline(source, fs.createWriteStream(plain, { mode: 0o600 }));
  } catch {
    drop();
    throw new NotBackup(
      `${file} cannot be opened: ELDERLEAF_BACKUP_PASSPHRASE is not its passphrase, or the file is damaged. Nothing was restored.`,
    );
  }
  return { plain, drop };
}

/**
 * Opens a backup, with its passphrase where it has one, and holds it against what it says of itself. Throws a NotBackup in words.
 */
export async function openBackup(file: string, passphrase: string | null): Promise<OpenBackup> {
  const { plain, drop } = await plainOf(file, passphrase);
  try {
    const { close, ...backup } = await openPlain(file, plain);
    return {
      ...backup,
      close: () => {
        close();
        drop();
      },
    };
  } catch (error) {
    drop();
    throw error;
  }
}

/** Opens the archive of a backup; `file` is what it is called in words. */
async function openPlain(file: string, plain: string): Promise<OpenBackup> {
  const zip = await openZip(plain, file);
  try {
    const entries = await entriesOf(zip, file);
    const manifest = await manifestOf(zip, entries, file);
    const parts = new Map(manifest.parts.map((part) => [part.name, part]));
    for (const { name, bytes } of manifest.parts) {
      const entry = entries.get(name);
      if (!entry || entry.uncompressedSize !== bytes)
        throw new NotBackup(
          `${file} is damaged: ${name} is ${entry ? 'not whole' : 'missing'}. Nothing was restored.`,
        );
    }
    async function* read(name: string): AsyncIterable<Uint8Array> {
      const part = parts.get(name);
      if (!part) throw new NotBackup(`${file} is damaged: ${name} is missing. Nothing was restored.`);
      const hash = createHash('sha256');
      let bytes = 0;
      const stream = (await streamOf(zip, entries.get(name)!)) as AsyncIterable<Buffer>;
      try {
        for await (const piece of stream) {
          hash.update(piece);
          bytes += piece.length;
          // What unpacks to more than it says is not what was written.
          if (bytes > part.bytes) break;
          yield piece;
        }
      } catch (error) {
        throw new NotBackup(
          `${file} is damaged at ${name}: ${(error as Error).message}. Nothing was restored.`,
        );
      }
      if (bytes !== part.bytes || hash.digest('hex') !== part.sha256)
        throw new NotBackup(`${file} is damaged: ${name} is not what was written. Nothing was restored.`);
    }
    return { manifest, read, close: () => zip.close() };
  } catch (error) {
    zip.close();
    throw error;
  }
}
