import { eq, inArray, isNull, and, sql } from 'drizzle-orm';
import type { Entry, Merging } from '#contracts';
import { renamedIncludes } from '#core/fill';
import {
  changeEntries,
  heldByKeeper,
  type ChangeOfOne,
  toEntry,
  rightsFor,
  includedIds,
  writeWordsLeft,
} from '../bank';
import type { Context } from '../context';
import { type Database, type Queries, entries, notes } from '../db';
import { Refusal } from '../http';
import { deleteEntries } from '../wastebasket';

/** Entries that hold some others within them, of those the member sees; each with the one in place of those. */
async function holding(tx: Queries, member: string, merged: ReadonlySet<string>, into: string) {
  const rights = await rightsFor(tx, member);
  const rows = await tx
    .select()
    .from(entries)
    .where(and(isNull(entries.deletion), sql`${entries.content}::text like '%"include"%'`));
  const holders = rows.filter(
    ({ id, collection, content }) =>
      id !== into &&
      !merged.has(id) &&
      rights.has(collection) &&
      includedIds(content).some((held) => merged.has(held)),
  );
  const foreign = holders.find(({ collection }) => rights.get(collection) !== 'keep');
  if (foreign)
    throw new Refusal(
      'not-allowed',
      `“${foreign.content.title}”, which others keep, has one of these within it. Nothing was merged.`,
    );
  return holders.map(({ id, revision, content }): ChangeOfOne => ({
    entry: id,
    revision,
    content: renamedIncludes(content, (held) => (merged.has(held) ? into : held)),
  }));
}

/**
 * Makes entries one, in which the others end: they go into the wastebasket; what was noted on them is noted on it; drafts and
 * entries that have them have it; their cues are free for it. All or nothing. Returns the entry that is left, the
 * deletion that brings the others back, and where something changed. Throws a Refusal where the member does not keep all of them, or one
 * was saved meanwhile.
 */
export async function mergeEntries(
  context: Context,
  member: string,
  { into, entries: others }: Merging,
): Promise<{ entry: Entry; deletion: string; changed: { collection: string }[] }> {
  const merged = new Set(others.map(({ entry }) => entry));
  if (merged.has(into.entry) || includedIds(into.content).some((held) => merged.has(held)))
    throw new Refusal(
      'not-valid',
      'The entry that is left has one of the others within it. Nothing was merged.',
    );
  const done = await context.db.transaction(async (tx) => {
    const rows = await heldByKeeper(tx, member, [into.entry, ...merged]);
    const now = new Map(rows.map((row) => [row.id, row]));
    const stale = others.find(({ entry, revision }) => now.get(entry)!.revision !== revision);
    if (stale)
      throw new Refusal(
        'moved-on',
        `Someone saved “${now.get(stale.entry)!.title}” meanwhile. Nothing was merged; check it again.`,
      );
    // A transaction is a database to what runs within it.
    const inside = { ...context, db: tx as unknown as Database };
    const holders = await holding(tx, member, merged, into.entry);
    const deletion = await deleteEntries(inside, member, [...merged]);
    const saved = await changeEntries(inside, member, [into, ...holders], into.reason);
    const before = rows.flatMap((row) => (merged.has(row.id) ? [row.id, ...(row.merged ?? [])] : []));
    const all = [...new Set([...(now.get(into.entry)!.merged ?? []), ...before])];
    const [row] = await tx.update(entries).set({ merged: all }).where(eq(entries.id, into.entry)).returning();
    await tx
      .update(notes)
      .set({ entry: into.entry, mergedFrom: notes.entry })
      .where(inArray(notes.entry, [...merged]));
    return { entry: toEntry(row!), deletion, saved, rows };
  });
  await writeWordsLeft(
    context.db,
    done.saved.map(({ id }) => id),
  );
  const { entry, deletion, saved, rows } = done;
  return { entry, deletion, changed: [...saved, ...rows] };
}
