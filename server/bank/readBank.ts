import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Bank, BankHad, Collection, Entry } from '#contracts';
import type { Context } from '../context';
import { type Queries, departures, entries, isAmong, preferences } from '../db';
import { notFound } from '../http';
import { changesSince } from './changesSince';
import { rightsFor } from './rights';
import { toEntry } from './saveEntry';
import { includedIds } from './soundIncludes';
import { visibleCollections } from './visibleCollections';

/** How many entries of each of some collections there are; without those that have none. */
async function countsOf(db: Queries, ids: readonly string[]): Promise<Map<string, number>> {
  const rows = await db
    .select({ collection: entries.collection, count: sql<number>`count(*)::integer` })
    .from(entries)
    // As one value: thousands of them would take longer to send than to count.
    .where(and(isAmong(entries.collection, ids), isNull(entries.deletion)))
    .groupBy(entries.collection);
  return new Map(rows.map(({ collection, count }) => [collection, count]));
}

/** What a member switched in, for whatever kind of work. */
async function switchedIn(db: Queries, member: string): Promise<Set<string>> {
  const [row] = await db.select().from(preferences).where(eq(preferences.member, member));
  return new Set(Object.values(row?.content.reach ?? {}).flatMap((own) => own.in));
}

/**
 * Whose entries a page is given unasked: what it has already, one's own and what one switched in whatever their size; then one
 * after the other, as they stand, as long as there is room.
 */
function atHand(
  all: readonly Collection[],
  counts: ReadonlyMap<string, number>,
  wanted: ReadonlySet<string>,
  most: number,
): Set<string> {
  const always = all.filter(({ id, own }) => own || wanted.has(id));
  const given = new Set(always.map(({ id }) => id));
  let room = always.reduce((left, { id }) => left - (counts.get(id) ?? 0), most);
  for (const { id } of all) {
    const count = counts.get(id) ?? 0;
    if (given.has(id) || count > room) continue;
    given.add(id);
    room -= count;
  }
  return given;
}

/** Entries by their ids, and those they include, and so on; of those that the member may see. */
export async function withIncluded(
  db: Queries,
  wanted: readonly string[],
  isSeen: (collection: string) => boolean,
): Promise<Entry[]> {
  const found = new Map<string, Entry>();
  let ids = [...new Set(wanted)];
  while (ids.length > 0) {
    const rows = await db
      .select()
      .from(entries)
      .where(and(inArray(entries.id, ids), isNull(entries.deletion)));
    const seen = rows.filter(({ collection }) => isSeen(collection));
    for (const row of seen) found.set(row.id, toEntry(row));
    const next = new Set(seen.flatMap(({ content }) => includedIds(content)));
    ids = [...next].filter((id) => !found.has(id));
  }
  return [...found.values()];
}

/** What stands within some entries and is not among them. */
const includedElsewhere = (rows: readonly Entry[]): string[] => {
  const here = new Set(rows.map(({ id }) => id));
  return rows.flatMap(({ content }) => includedIds(content)).filter((id) => !here.has(id));
};

/**
 * What a member may see of the bank: all collections, and entries of those at hand; of collections that the page has, only
 * what was saved after that. A bank of more than `context.settings.atHand` entries is not given whole.
 */
export async function readBank(context: Context, member: string, { had, loose }: BankHad): Promise<Bank> {
  const { db } = context;
  // Their counts are read before the entries: what is saved in between comes now and once more the next time.
  const all = await visibleCollections(db, member);
  const counts = await countsOf(
    db,
    all.map(({ id }) => id),
  );
  const total = [...counts.values()].reduce((sum, count) => sum + count, 0);
  const isLarge = total > context.settings.atHand;
  const wanted = isLarge ? await switchedIn(db, member) : new Set<string>();
  for (const id of Object.keys(had)) wanted.add(id);
  const given = isLarge
    ? atHand(all, counts, wanted, context.settings.atHand)
    : new Set(all.map(({ id }) => id));
  const asked = JSON.stringify([...given].map((id) => ({ id, had: had[id] ?? -1 })));
  const rows = await db
    .select()
    .from(entries)
    .innerJoin(
      sql`jsonb_to_recordset(${asked}::jsonb) as wanted(id text, had integer)`,
      sql`wanted.id = ${entries.collection} and ${entries.change} > wanted.had`,
    )
    .where(isNull(entries.deletion))
    .orderBy(asc(entries.id));
  const gone = await db
    .select({ entry: departures.entry, collection: departures.collection })
    .from(departures)
    .innerJoin(
      sql`jsonb_to_recordset(${asked}::jsonb) as wanted(id text, had integer)`,
      // Who has nothing of a collection yet has nothing to let go of.
      sql`wanted.id = ${departures.collection} and wanted.had >= 0 and ${departures.change} > wanted.had`,
    );
  const found = rows.map((row) => toEntry(row.entries));
  const away = all.filter(({ id }) => !given.has(id)).map(({ id }) => id);
  const isAway = new Set(away);
  const others = isLarge
    ? await withIncluded(db, [...loose, ...includedElsewhere(found)], (id) => isAway.has(id))
    : [];
  return {
    collections: all,
    counts: Object.fromEntries(counts),
    away,
    entries: [...found, ...others],
    gone,
  };
}

/** What a page does not have of one collection; all of it where `had` is null. Throws when the member may not see it. */
export async function readCollection(
  { db }: Context,
  member: string,
  collection: string,
  had: number | null,
): Promise<{ changes: number; entries: Entry[]; gone: Bank['gone'] }> {
  const read = await changesSince(db, { member, collection, had });
  if (!read) throw notFound();
  const { changes, entries: found, gone } = read;
  const within = includedElsewhere(found);
  const rights = within.length > 0 ? await rightsFor(db, member) : null;
  const others = rights ? await withIncluded(db, within, (id) => rights.has(id)) : [];
  return { changes, entries: [...found, ...others], gone };
}
