import { and, count, eq, isNull, or, sql } from 'drizzle-orm';
import type { Placed, Usage } from '#contracts';
import { rightsFor } from '../bank';
import { type Database, entries, isAmong, members, preferences, uses, waysBrought } from '../db';

const ENTRIES_TOLD = 200;
const WEEKS_TOLD = 26;
const NEVER_TOLD = 100;

interface Sums {
  times: number;
  saved: number;
  mine: number;
  mineSaved: number;
}
const none = (): Sums => ({ times: 0, saved: 0, mine: 0, mineSaved: 0 });

/** The Monday of the week that a day is in. */
function mondayOf(day: string): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() - ((date.getUTCDay() + 6) % 7));
  return date.toISOString().slice(0, 10);
}

/** Sums by whatever `keyOf` tells. */
function summed<Row extends Sums>(rows: readonly Row[], keyOf: (row: Row) => string): [string, Sums][] {
  const all = new Map<string, Sums>();
  for (const row of rows) {
    const sum = all.get(keyOf(row)) ?? none();
    for (const key of ['times', 'saved', 'mine', 'mineSaved'] as const) sum[key] += row[key];
    all.set(keyOf(row), sum);
  }
  return [...all];
}

/** By person, of the entries in these collections: the member's own figures, and those of whoever lets colleagues see them. */
async function usageByPerson(
  db: Database,
  member: string,
  seen: readonly string[],
): Promise<Usage['people']> {
  const mine = eq(members.id, member);
  const rows = await db
    .select({
      member: members.id,
      name: members.name,
      times: sql<number>`sum(${uses.times})::float8`,
      saved: sql<number>`sum(${uses.shown} - ${uses.pressed})::float8`,
    })
    .from(uses)
    .innerJoin(members, eq(members.id, uses.member))
    .innerJoin(entries, and(eq(entries.id, uses.list), isNull(entries.deletion)))
    .leftJoin(preferences, eq(preferences.member, members.id))
    .where(
      and(
        eq(uses.source, 'entry'),
        isAmong(entries.collection, seen),
        or(mine, sql`${preferences.content} ->> 'showsUsage' = 'true'`),
      ),
    )
    .groupBy(members.id, members.name);
  const none = { mine: 0, mineSaved: 0 };
  return rows
    .map((row) => ({ ...row, ...(row.member === member ? { mine: row.times, mineSaved: row.saved } : none) }))
    .sort((a, b) => b.times - a.times || a.name.localeCompare(b.name));
}

/** How a member brings entries to the leaf, the most frequent way first. */
async function waysOf(db: Database, member: string): Promise<Usage['ways']> {
  const rows = await db
    .select({
      way: waysBrought.way,
      times: sql<number>`sum(${waysBrought.times})::float8`,
      keys: sql<number>`sum(${waysBrought.keys})::float8`,
    })
    .from(waysBrought)
    .where(eq(waysBrought.member, member))
    .groupBy(waysBrought.way);
  return rows.sort((a, b) => b.times - a.times);
}

/** What is used of the entries that a member sees, from counts alone: theirs, and everybody's as sums. */
export async function usageOf(db: Database, member: string): Promise<Usage> {
  const rights = await rightsFor(db, member);
  const isMine = sql`${uses.member} = ${member}`;
  const sum = (what: ReturnType<typeof sql>) => sql<number>`coalesce(sum(${what}), 0)::float8`;
  const rows = await db
    .select({
      entry: entries.id,
      title: sql<string>`${entries.content} ->> 'title'`,
      collection: entries.collection,
      kind: uses.kind,
      day: uses.day,
      times: sum(sql`${uses.times}`),
      saved: sum(sql`${uses.shown} - ${uses.pressed}`),
      mine: sum(sql`case when ${isMine} then ${uses.times} else 0 end`),
      mineSaved: sum(sql`case when ${isMine} then ${uses.shown} - ${uses.pressed} else 0 end`),
    })
    .from(uses)
    .innerJoin(entries, and(eq(entries.id, uses.list), isNull(entries.deletion)))
    .where(eq(uses.source, 'entry'))
    .groupBy(entries.id, uses.kind, uses.day);
  const seen = rows.filter(({ collection }) => rights.has(collection));
  const titles = new Map(seen.map(({ entry, title, collection }) => [entry, { title, collection }]));
  const byTimes = (a: Sums, b: Sums) => b.times - a.times;
  // Of a large bank most may never be placed: they are counted and the first of them taken in the store.
  const never = and(
    isNull(entries.deletion),
    sql`${entries.content} ->> 'retired' is null`,
    isAmong(entries.collection, [...rights.keys()]),
    sql`not exists (select from ${uses} where ${uses.source} = 'entry' and ${uses.list} = ${entries.id})`,
  );
  const [counted] = await db.select({ count: count() }).from(entries).where(never);
  const title = sql<string>`${entries.content} ->> 'title'`;
  const first = await db
    .select({ entry: entries.id, title, collection: entries.collection })
    .from(entries)
    .where(never)
    .orderBy(sql`lower(${title})`)
    .limit(NEVER_TOLD);
  return {
    entries: summed(seen, ({ entry }) => entry)
      .map(([entry, sums]) => ({ entry, ...titles.get(entry)!, ...sums }))
      .sort(byTimes)
      .slice(0, ENTRIES_TOLD),
    weeks: summed(seen, ({ day }) => mondayOf(day))
      .map(([week, sums]) => ({ week, ...sums }))
      .sort((a, b) => a.week.localeCompare(b.week))
      .slice(-WEEKS_TOLD),
    kinds: summed(seen, ({ kind }) => kind)
      .map(([kind, sums]) => ({ kind, ...sums }))
      .sort(byTimes),
    collections: summed(seen, ({ collection }) => collection)
      .map(([collection, sums]) => ({ collection, ...sums }))
      .sort(byTimes),
    ways: await waysOf(db, member),
    people: await usageByPerson(db, member, [...rights.keys()]),
    never: first,
    neverCount: counted!.count,
  };
}

/** How often each entry that a member sees was placed, by everybody and by them. */
export async function placedBy(db: Database, member: string): Promise<Placed> {
  const rights = await rightsFor(db, member);
  const rows = await db
    .select({
      entry: entries.id,
      collection: entries.collection,
      times: sql<number>`sum(${uses.times})::float8`,
      mine: sql<number>`coalesce(sum(${uses.times}) filter (where ${uses.member} = ${member}), 0)::float8`,
      lookedUp: sql<number>`coalesce(sum(${uses.lookedUp}) filter (where ${uses.member} = ${member}), 0)::float8`,
    })
    .from(uses)
    .innerJoin(entries, and(eq(entries.id, uses.list), isNull(entries.deletion)))
    .where(eq(uses.source, 'entry'))
    .groupBy(entries.id);
  const seen = rows.filter(({ collection }) => rights.has(collection));
  return {
    times: Object.fromEntries(seen.map(({ entry, times }) => [entry, times])),
    mine: Object.fromEntries(seen.flatMap(({ entry, mine }) => (mine > 0 ? [[entry, mine]] : []))),
    lookedUp: Object.fromEntries(
      seen.flatMap(({ entry, lookedUp }) => (lookedUp > 0 ? [[entry, lookedUp]] : [])),
    ),
  };
}
