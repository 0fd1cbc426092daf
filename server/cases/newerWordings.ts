import { and, count, desc, eq, isNull, sql } from 'drizzle-orm';
import type { NewerWordings } from '#contracts';
import { rightsFor } from '../bank';
import { cases, casesGiven, type Database, drafts, entries } from '../db';

/** So many cases are told of. */
const MOST_TOLD = 20;

/**
 * The open cases on whose unfinished leaves, written by the member, stand placements of entries that were saved anew since, in how many
 * placements. Whose older words were kept on purpose are not told again for the same revision.
 */
export async function newerWordings(db: Database, member: string): Promise<NewerWordings> {
  const rights = await rightsFor(db, member);
  const placed = sql`jsonb_each(${drafts.document} -> 'attrs' -> 'placements') as placed`;
  const number = (key: string) => sql`coalesce((placed.value ->> ${key})::int, 0)`;
  const rows = await db
    .select({ case: cases.id, title: cases.title, collection: entries.collection, placements: count() })
    .from(drafts)
    .innerJoin(cases, and(eq(cases.id, drafts.case), isNull(cases.closedAt)))
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .innerJoin(placed, sql`true`)
    .innerJoin(entries, and(sql`${entries.id} = placed.value ->> 'entry'`, isNull(entries.deletion)))
    .where(
      and(
        eq(drafts.author, member),
        eq(drafts.state, 'open'),
        isNull(drafts.deletion),
        sql`${entries.revision} > ${number('revision')} and ${entries.revision} > ${number('keptAgainst')}`,
      ),
    )
    .groupBy(cases.id, cases.title, entries.collection)
    .orderBy(desc(count()), cases.title);
  const told = new Map<string, { case: string; title: string; placements: number }>();
  for (const row of rows) {
    if (!rights.has(row.collection)) continue;
    const before = told.get(row.case);
    const placements = (before?.placements ?? 0) + row.placements;
    told.set(row.case, { case: row.case, title: row.title, placements });
  }
  return [...told.values()].slice(0, MOST_TOLD);
}
