import { and, count, desc, eq, isNull } from 'drizzle-orm';
import type { Usual } from '#contracts';
import type { KindId } from '#core/work';
import { rightsFor } from '../bank';
import { alias } from 'drizzle-orm/pg-core';
import { cases, type Database, drafts, entries, followings } from '../db';

/** What came once may have come by chance. */
const LEAST_TIMES = 2;
/** So many are told for each entry. */
const MOST_TOLD = 6;
/** And so many of those that are usual wherever. */
const MOST_OFTEN = 20;

/**
 * What is usual after each entry in the finished drafts of a kind of work, everybody's: sums alone, of entries that the member sees and
 * that are in the bank still, from which nobody learns whose drafts they are.
 */
export async function usualOf(db: Database, member: string, kind: KindId): Promise<Usual> {
  const rights = await rightsFor(db, member);
  const times = count();
  const earlier = alias(entries, 'earlier');
  const rows = await db
    .select({
      before: followings.before,
      after: followings.after,
      at: entries.collection,
      times,
      from: earlier.collection,
    })
    .from(followings)
    .innerJoin(
      drafts,
      and(eq(drafts.id, followings.draft), eq(drafts.state, 'finished'), isNull(drafts.deletion)),
    )
    .innerJoin(cases, and(eq(cases.id, drafts.case), eq(cases.kind, kind)))
    .innerJoin(entries, and(eq(entries.id, followings.after), isNull(entries.deletion)))
    .leftJoin(earlier, eq(earlier.id, followings.before))
    .groupBy(followings.before, followings.after, entries.collection, earlier.collection)
    .orderBy(desc(times), followings.after);
  const after: Record<string, string[]> = {};
  const inAll = new Map<string, number>();
  for (const row of rows) {
    if (!rights.has(row.at)) continue;
    inAll.set(row.after, (inAll.get(row.after) ?? 0) + row.times);
    const isSeen = row.before === null || rights.has(row.from ?? '');
    if (row.times < LEAST_TIMES || !isSeen) continue;
    const told = (after[row.before ?? ''] ??= []);
    if (told.length < MOST_TOLD) told.push(row.after);
  }
  const often = [...inAll]
    .filter(([, all]) => all >= LEAST_TIMES)
    .sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
  return { after, often: often.slice(0, MOST_OFTEN).map(([entry]) => entry) };
}
