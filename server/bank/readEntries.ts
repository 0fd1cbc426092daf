import { and, asc, gt, inArray, isNull } from 'drizzle-orm';
import type { Entry } from '#contracts';
import { toEntry } from './saveEntry';
import { type Queries, entries } from '../db';

type Row = typeof entries.$inferSelect;

const AT_ONCE = 500;

/** All entries in some collections, some hundred at a time, in the order of their ids; what is deleted left out. */
export async function* readEntries(db: Queries, collections: readonly string[]): AsyncGenerator<Row[], void> {
  // Sifted here: most see most of a bank, and thousands of ids would take longer to send than to sift.
  const seen = new Set(collections);
  let after = '';
  for (;;) {
    const rows = await db
      .select()
      .from(entries)
      .where(and(gt(entries.id, after), isNull(entries.deletion)))
      .orderBy(asc(entries.id))
      .limit(AT_ONCE);
    if (rows.length === 0) return;
    yield rows.filter(({ collection }) => seen.has(collection));
    after = rows.at(-1)!.id;
  }
}

/** How far a reading is after so many entries, from 0 to 1: how many there are is not known before its end. */
export const readSoFar = (read: number): number => 1 - AT_ONCE / (AT_ONCE + read);

/** Entries in which things were found: those that are told, each with its things; how many entries and things there are; how many were read. */
export interface FoundInEntries<Thing> {
  entries: { entry: Entry; things: Thing[] }[];
  count: number;
  things: number;
  read: number;
}

/**
 * Looks for things in all entries of some collections, telling the first `most` entries that have any. Yields how far it is, from 0
 * to 1, after each entry.
 */
export async function* findInEntries<Thing>(
  db: Queries,
  collections: readonly string[],
  most: number,
  find: (row: Row) => Thing[],
): AsyncGenerator<number, FoundInEntries<Thing>> {
  const found: FoundInEntries<Thing> = { entries: [], count: 0, things: 0, read: 0 };
  for await (const rows of readEntries(db, collections))
    for (const row of rows) {
      found.read += 1;
      const things = find(row);
      yield readSoFar(found.read);
      if (things.length === 0) continue;
      found.count += 1;
      found.things += things.length;
      if (found.entries.length < most) found.entries.push({ entry: toEntry(row), things });
    }
  return found;
}

/** Entries by their ids, as many as are still there. */
export async function entriesById(db: Queries, ids: readonly string[]): Promise<Map<string, Row>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select()
    .from(entries)
    .where(and(inArray(entries.id, [...ids]), isNull(entries.deletion)));
  return new Map(rows.map((row) => [row.id, row]));
}
