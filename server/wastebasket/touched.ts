import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { ResponseOf } from '#contracts';
import { includedIds, rightsFor, visibleEntries } from '../bank';
import { type Database, drafts, entries } from '../db';

/**
 * What would be touched by deleting entries: those that have one of them within, as far as the member sees both, and how many unfinished
 * drafts hold one of those that the member sees.
 */
export async function touchedBy(
  db: Database,
  member: string,
  ids: readonly string[],
): Promise<ResponseOf<'touched'>> {
  const wanted = new Set(ids);
  const rights = await rightsFor(db, member);
  const seen = await visibleEntries(db, member, ids);
  const holding = await db
    .select({ id: entries.id, collection: entries.collection, content: entries.content })
    .from(entries)
    .where(and(isNull(entries.deletion), sql`${entries.content}::text like '%"include"%'`));
  const within = holding.filter(
    ({ id, collection, content }) =>
      !wanted.has(id) && rights.has(collection) && includedIds(content).some((held) => seen.has(held)),
  );
  const held = sql<string>`placed.value ->> 'entry'`;
  const [found] = await db
    .select({ count: sql<number>`count(distinct ${drafts.id})::int` })
    .from(drafts)
    .innerJoin(sql`jsonb_each(${drafts.document} -> 'attrs' -> 'placements') as placed`, sql`true`)
    .where(and(eq(drafts.state, 'open'), isNull(drafts.deletion), inArray(held, [...seen.keys(), ''])));
  return { within: within.map(({ id, content }) => ({ id, title: content.title })), drafts: found!.count };
}
