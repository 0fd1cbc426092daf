import { and, eq, isNotNull, isNull, sql } from 'drizzle-orm';
import { nextChange } from './bankChanges';
import { type Queries, entries, isAmong, notes } from '../db';

/** The entry that another became, if it did. */
export const becameIt = (id: string) =>
  and(
    isNotNull(entries.merged),
    isNull(entries.deletion),
    sql`${entries.merged} @> ${JSON.stringify([id])}::jsonb`,
  );

/** Entries that had become another are themselves again: what was noted on them goes back to them. */
export async function unmerge(tx: Queries, ids: readonly string[]): Promise<void> {
  const back = new Set(ids);
  const holding = await tx
    .select()
    .from(entries)
    .where(
      and(
        isNotNull(entries.merged),
        isNull(entries.deletion),
        sql`${entries.merged} ?| array(select jsonb_array_elements_text(${JSON.stringify(ids)}::jsonb))`,
      ),
    );
  for (const row of holding)
    await tx
      .update(entries)
      .set({
        merged: row.merged!.filter((one) => !back.has(one)),
        // So that pages hear of it.
        change: await nextChange(tx, row.collection),
      })
      .where(eq(entries.id, row.id));
  await tx
    .update(notes)
    .set({ entry: sql`${notes.mergedFrom}`, mergedFrom: null })
    .where(isAmong(notes.mergedFrom, ids));
}
