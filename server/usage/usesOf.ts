import { and, isNull, sql } from 'drizzle-orm';
import type { Uses } from '#contracts';
import { type Queries, drafts } from '../db';

/** How often entries stand in drafts, and in how many members': sums alone, from which nobody learns whose drafts or cases. */
export async function usesOf(db: Queries, ids: readonly string[]): Promise<Uses> {
  if (ids.length === 0) return {};
  const rows = await db
    .select({
      entry: sql<string>`placed.value ->> 'entry'`,
      times: sql<number>`count(*)::int`,
      members: sql<number>`count(distinct ${drafts.author})::int`,
    })
    .from(drafts)
    .innerJoin(sql`jsonb_each(${drafts.document} -> 'attrs' -> 'placements') as placed`, sql`true`)
    .where(
      and(
        isNull(drafts.deletion),
        sql`placed.value ->> 'entry' in (select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb))`,
      ),
    )
    .groupBy(sql`placed.value ->> 'entry'`);
  return Object.fromEntries(rows.map(({ entry, times, members }) => [entry, { times, members }]));
}
