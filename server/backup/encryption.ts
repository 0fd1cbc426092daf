import fs from 'node:fs';
import { Readable } from 'node:stream';
import type { ReadableStream as NodeStream } from 'node:stream/web';
import { Decrypter, Encrypter } from 'age-encryption';

/**
 * How hard it is made to try passphrases, as a power of two: tried one after the other, each takes a fifth of a second. Theirs that are taken
 * for backups are long (see the setting).
 */
const WORK_FACTOR = 16;
const BEGINNING = 'age-encryption.org/v1\n';

/** What is read, encrypted with a passphrase as `age` does it (age-encryption.org/v1), piece by piece. */
export async function encrypted(source: Readable, passphrase: string): Promise<Readable> {
  const encrypter = new Encrypter();
  encrypter.setPassphrase(passphrase);
  encrypter.setScryptWorkFactor(WORK_FACTOR);
  const stream = await encrypter.encrypt(Readable.toWeb(source) as ReadableStream<Uint8Array>);
  return Readable.fromWeb(stream as unknown as NodeStream);
}

/** What is read, decrypted. Throws where the passphrase is another, or what was encrypted is damaged. */
export async function decrypted(source: Readable, passphrase: string): Promise<Readable> {
  const decrypter = new Decrypter();
  decrypter.addPassphrase(passphrase);
  const stream = await decrypter.decrypt(Readable.toWeb(source) as ReadableStream<Uint8Array>);
  return Readable.fromWeb(stream as unknown as NodeStream);
}

/** Whether a file begins as what `age` encrypts does. */
export function isEncrypted(file: string): boolean {
  const handle = fs.openSync(file, 'r');
  try {
    const head = Buffer.alloc(BEGINNING.length);
    fs.readSync(handle, head, 0, head.length, 0);
    return head.toString('latin1') === BEGINNING;
  } finally {
    fs.closeSync(handle);
  }
}
