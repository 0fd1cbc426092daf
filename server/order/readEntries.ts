import { and, asc, gt, inArray, isNull } from 'drizzle-orm';
import type { Queries } from '../db/openStore';
import { entries } from '../db/schema';

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

/** Entries by their ids, as many as are still there. */
export async function entriesById(db: Queries, ids: readonly string[]): Promise<Map<string, Row>> {
  if (ids.length === 0) return new Map();
  const rows = await db
    .select()
    .from(entries)
    .where(and(inArray(entries.id, [...ids]), isNull(entries.deletion)));
  return new Map(rows.map((row) => [row.id, row]));
}
