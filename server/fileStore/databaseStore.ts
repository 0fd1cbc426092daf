import { randomUUID } from 'node:crypto';
import { and, eq, like, lt } from 'drizzle-orm';
import { filePieces, type Queries } from '../db';
import type { FileStore } from './fileStore';
import { measured } from './measured';

/**
 * Each goes over the line as twice its bytes of text. Below 64 kB that text lies where memory is given back at once; larger ones
 * wait there for long, 80 MB of them while a file of 300 MB is read.
 */
const PIECE_BYTES = 60 * 1024;
/** What comes in is named so until it is kept: no hash begins like it. */
const COMING = 'coming ';

/** Pieces of one size, the last one excepted, whatever the sizes they come in. */
async function* inPieces(source: AsyncIterable<Uint8Array>, size: number): AsyncIterable<Uint8Array> {
  let waiting: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of source) {
    waiting.push(part);
    bytes += part.length;
    if (bytes < size) continue;
    const all = Buffer.concat(waiting);
    let at = 0;
    for (; at + size <= all.length; at += size) yield all.subarray(at, at + size);
    waiting = at < all.length ? [all.subarray(at)] : [];
    bytes = all.length - at;
  }
  if (bytes > 0) yield Buffer.concat(waiting);
}

/** Files in pieces in the database itself, so that all servers that have it open serve them. */
export function databaseStore(db: Queries): FileStore {
  const dropNamed = async (content: string, queries: Queries = db) => {
    await queries.delete(filePieces).where(eq(filePieces.content, content));
  };
  return {
    async stage(source, most) {
      const content = COMING + randomUUID();
      const drop = () => dropNamed(content);
      const { pieces, measure } = measured(source, most);
      let at = 0;
      try {
        for await (const bytes of inPieces(pieces, PIECE_BYTES)) {
          await db.insert(filePieces).values({ content, at, bytes });
          at += 1;
        }
      } catch (error) {
        await drop();
        throw error;
      }
      const known = measure();
      const keep = async (tx: Queries) => {
        const named = await tx
          .select({ at: filePieces.at })
          .from(filePieces)
          .where(and(eq(filePieces.content, known.hash), eq(filePieces.at, 0)));
        // What is kept already is enough: what came in goes with `drop`.
        if (named.length > 0) return;
        // The pieces themselves stay where they lie: only their name is written anew.
        await tx.update(filePieces).set({ content: known.hash }).where(eq(filePieces.content, content));
      };
      return { ...known, keep, drop };
    },
    async *read(hash, from, to) {
      for (let at = Math.floor(from / PIECE_BYTES); at * PIECE_BYTES <= to; at += 1) {
        const [piece] = await db
          .select({ bytes: filePieces.bytes })
          .from(filePieces)
          .where(and(eq(filePieces.content, hash), eq(filePieces.at, at)));
        if (!piece) throw new Error('A piece of a file is not there.');
        const start = at * PIECE_BYTES;
        yield piece.bytes.subarray(Math.max(0, from - start), to - start + 1);
      }
    },
    drop: dropNamed,
    async dropStaged(before) {
      await db
        .delete(filePieces)
        .where(and(like(filePieces.content, `${COMING}%`), lt(filePieces.since, before)));
    },
  };
}
