import type { Bank, Entry } from '#contracts';
import { askedTogether, type Database } from '../db';
import { changeCountsOf, goneSince, savedSince } from './entryStatements';
import { rightsAt } from './rights';
import { toEntry } from './saveEntry';

/** What a member asks of one collection: what came of its changes after `had`; all of it where that is null. */
interface Asked {
  member: string;
  collection: string;
  had: number | null;
}

interface Changes {
  /** How often the collection was changed. */
  changes: number;
  entries: Entry[];
  gone: Bank['gone'];
}

/** What came since the earliest of some changes, as each of those who ask takes their part of it. */
async function readSince(db: Database, collection: string, hads: readonly (number | null)[]) {
  const earliest = Math.min(...hads.map((had) => had ?? -1));
  const saved = await savedSince(db).execute({ collection, had: earliest });
  const known = hads.filter((had) => had !== null);
  // Who has nothing of a collection yet has nothing to let go of.
  const gone = known.length === 0 ? [] : await goneSince(db).execute({ collection, had: Math.min(...known) });
  const entries = saved.map((row) => ({ change: row.change, entry: toEntry(row) }));
  return {
    entriesAfter: (had: number | null) =>
      entries.filter(({ change }) => change > (had ?? -1)).map(({ entry }) => entry),
    goneAfter: (had: number | null) =>
      had === null
        ? []
        : gone.filter(({ change }) => change > had).map(({ entry }) => ({ entry, collection })),
  };
}

/**
 * What changed in a collection. Undefined where there is no such collection, or the member may not see it: nothing is read for
 * those then. Whenever something is saved all who have the collection ask: they are answered together.
 */
export const changesSince = askedTogether(
  async (db, asked: readonly Asked[]): Promise<(Changes | undefined)[]> => {
    const collections = JSON.stringify([...new Set(asked.map(({ collection }) => collection))]);
    // Counted before the entries are read: what is saved in between comes now and once more the next time.
    const counts = await changeCountsOf(db).execute({ collections });
    const answers = new Map<Asked, Changes>();
    for (const { id, changes, stamp } of counts) {
      const own: Asked[] = [];
      for (const one of asked)
        if (one.collection === id && (await rightsAt(db, one.member, stamp)).has(id)) own.push(one);
      // Nearly all who ask were told of something else, or of what they did themselves.
      const behind = own.filter(({ had }) => had !== changes);
      const since =
        behind.length === 0
          ? null
          : await readSince(
              db,
              id,
              behind.map(({ had }) => had),
            );
      for (const one of own) {
        const isBehind = since !== null && one.had !== changes;
        answers.set(one, {
          changes,
          entries: isBehind ? since.entriesAfter(one.had) : [],
          gone: isBehind ? since.goneAfter(one.had) : [],
        });
      }
    }
    return asked.map((one) => answers.get(one));
  },
);
