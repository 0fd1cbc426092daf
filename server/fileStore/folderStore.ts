import { randomUUID } from 'node:crypto';
import { createReadStream } from 'node:fs';
import fs from 'node:fs/promises';
import path from 'node:path';
import type { FileStore } from './fileStore';
import { measured } from './measured';

const PIECE_BYTES = 256 * 1024;

const nothingThere = (error: unknown) => (error as NodeJS.ErrnoException).code === 'ENOENT';

/**
 * Files in a folder beside the embedded database: each under its hash, in folders by the first two letters of it. What comes in
 * lies apart until it is whole and on the disk.
 */
export function folderStore(folder: string): FileStore {
  const coming = path.join(folder, 'coming');
  const placeOf = (hash: string) => path.join(folder, hash.slice(0, 2), hash);
  return {
    async stage(source, most) {
      await fs.mkdir(coming, { recursive: true, mode: 0o700 });
      const place = path.join(coming, randomUUID());
      const drop = () => fs.rm(place, { force: true });
      const { pieces, measure } = measured(source, most);
      try {
        // Flushed: what is acknowledged is on the disk. A write stream would not do: where what comes in breaks off at once, a
        // pipeline ends before the stream has opened its file, which then lies there after all.
        await fs.writeFile(place, pieces, { mode: 0o600, flush: true });
      } catch (error) {
        await drop();
        throw error;
      }
      const known = measure();
      const keep = async () => {
        const home = placeOf(known.hash);
        await fs.mkdir(path.dirname(home), { recursive: true, mode: 0o700 });
        await fs.rename(place, home);
      };
      return { ...known, keep, drop };
    },
    read: (hash, from, to) =>
      createReadStream(placeOf(hash), {
        start: from,
        end: to,
        highWaterMark: PIECE_BYTES,
      }) as AsyncIterable<Buffer>,
    drop: (hash) => fs.rm(placeOf(hash), { force: true }),
    async dropStaged(before) {
      const names = await fs.readdir(coming).catch((error: unknown) => {
        if (nothingThere(error)) return [];
        throw error;
      });
      for (const name of names) {
        const { mtime } = await fs.stat(path.join(coming, name));
        if (mtime < before) await fs.rm(path.join(coming, name), { force: true });
      }
    },
  };
}
