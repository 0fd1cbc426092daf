import type { SharedEndsFound } from '#contracts';
import { SharedEnds } from '#core/pieces';
import { rightsFor, toEntry, entriesById, readEntries, readSoFar } from '../bank';
import type { Context } from '../context';

/** So many are told, and of each so many entries: as many as one changes in one sitting. */
const TOLD = 40;
const TOLD_OF_EACH = 200;

/**
 * What three entries and more of a collection that a member sees begin or end with, word for word: those in use, without
 * variations. Yields how far it is, from 0 to 1.
 */
export async function* sharedEnds({ db }: Context, member: string): AsyncGenerator<number, SharedEndsFound> {
  const rights = await rightsFor(db, member);
  const ends = new SharedEnds();
  let read = 0;
  for await (const rows of readEntries(db, [...rights.keys()]))
    for (const { id, collection, content, varies } of rows) {
      if (content.retired || varies !== null) continue;
      read += 1;
      ends.add({ id, collection, content });
      yield readSoFar(read);
    }
  const all = ends.all();
  const told = all.slice(0, TOLD);
  const ids = told.flatMap(({ at, piece }) => [
    ...at.slice(0, TOLD_OF_EACH).map(({ entry }) => entry),
    ...(piece === null ? [] : [piece]),
  ]);
  const rows = await entriesById(db, [...new Set(ids)]);
  const seen = await rightsFor(db, member);
  // What was deleted, moved or withdrawn meanwhile is not told.
  const entryOf = (id: string, collection: string) => {
    const row = rows.get(id);
    return row?.collection === collection && seen.has(collection) ? toEntry(row) : null;
  };
  return {
    ends: told.flatMap(({ at, piece, blocks, ...end }) => {
      const there = at.slice(0, TOLD_OF_EACH).flatMap(({ entry, ...place }) => {
        const now = entryOf(entry, end.collection);
        return now ? [{ ...place, entry: now }] : [];
      });
      if (there.length === 0) return [];
      const passage = { type: 'doc' as const, content: blocks };
      return [{ ...end, passage, at: there, piece: piece === null ? null : entryOf(piece, end.collection) }];
    }),
    count: all.length,
    read,
  };
}
