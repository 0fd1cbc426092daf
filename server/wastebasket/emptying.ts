import { and, eq, inArray, lt } from 'drizzle-orm';
import type { TeamSettings } from '#contracts';
import { letKeep } from '../bank';
import { isClockSteady } from './steadyClock';
import type { Context } from '../context';
import {
  type Queries,
  caseFiles,
  collections,
  deletions,
  drafts,
  entries,
  glossaries,
  imports,
  revisions,
  teamSettings,
} from '../db';

const DEFAULT_SETTINGS: TeamSettings = {
  wastebasketDays: 30,
  kinds: null,
  records: null,
  backups: null,
  leftAlone: null,
  pageCards: null,
  casesOnComputers: null,
};
const DAY_MS = 86_400_000;

/** What is set for the whole team. */
export async function settingsOf(db: Queries): Promise<TeamSettings> {
  const [row] = await db.select().from(teamSettings);
  return { ...DEFAULT_SETTINGS, ...row?.content };
}

/** When something deleted goes for good; null for never. */
export const goesAt = (
  deleted: Date,
  { wastebasketDays: days }: Pick<TeamSettings, 'wastebasketDays'>,
): Date | null => (days === null ? null : new Date(deleted.getTime() + days * DAY_MS));

/** Deletes for good what some deletions took. */
export async function purge(tx: Queries, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  const all = [...ids];
  const gone = await tx
    .select({ id: collections.id })
    .from(collections)
    .where(inArray(collections.deletion, all));
  const inside = gone.map(({ id }) => id);
  // Entries deleted on their own before go with the collection that they were in.
  const rows = await tx
    .select({ id: entries.id })
    .from(entries)
    .where(inside.length > 0 ? inArray(entries.collection, inside) : inArray(entries.deletion, all));
  const alone =
    inside.length > 0
      ? await tx.select({ id: entries.id }).from(entries).where(inArray(entries.deletion, all))
      : [];
  const wanted = [...new Set([...rows, ...alone].map(({ id }) => id))];
  if (wanted.length > 0) {
    await tx.delete(revisions).where(inArray(revisions.entry, wanted));
    await tx.delete(entries).where(inArray(entries.id, wanted));
  }
  // Those within first: a collection names the one that it is in.
  if (inside.length > 0) {
    await orphan(tx, inside);
    await tx.delete(collections).where(inArray(collections.id, inside));
  }
  await tx.delete(drafts).where(inArray(drafts.deletion, all));
  // What they hold goes once nothing else needs it (`dropUnusedFiles`).
  await tx.delete(caseFiles).where(inArray(caseFiles.deletion, all));
  await tx.delete(glossaries).where(inArray(glossaries.deletion, all));
  // Imports that were never finished, of which all that came is gone by now.
  await tx.delete(imports).where(inArray(imports.id, all));
  await tx.delete(deletions).where(inArray(deletions.id, all));
  await sweep(tx);
}

/**
 * Takes out of collections that go for good what is in them. What was deleted before them, and may still be brought back, was
 * kept by what they pass down: it goes into the hands of who deleted it.
 */
async function orphan(tx: Queries, going: readonly string[]): Promise<void> {
  const left = await tx
    .update(collections)
    .set({ parent: null })
    .where(inArray(collections.parent, [...going]))
    .returning({ id: collections.id, deletion: collections.deletion, ownedBy: collections.ownedBy });
  for (const { id, deletion, ownedBy } of left) {
    if (going.includes(id) || deletion === null || ownedBy !== null) continue;
    const [row] = await tx.select().from(deletions).where(eq(deletions.id, deletion));
    if (row) await letKeep(tx, row.by, id);
  }
}

/** Deletions that nothing is left of. */
async function sweep(tx: Queries): Promise<void> {
  for (const { id, what } of await tx.select().from(deletions)) {
    if (what !== 'entries') continue;
    const [left] = await tx.select({ id: entries.id }).from(entries).where(eq(entries.deletion, id)).limit(1);
    if (!left) await tx.delete(deletions).where(eq(deletions.id, id));
  }
}

/**
 * Empties the wastebasket of what has lain in it for as long as is set. Returns how many deletions that were; none while the
 * server's clock is in doubt.
 */
export async function emptyWastebasket(context: Context): Promise<number> {
  const isSteady = await isClockSteady(context, context.db);
  const { wastebasketDays: days } = await settingsOf(context.db);
  if (days === null || !isSteady) return 0;
  const before = new Date(context.now().getTime() - days * DAY_MS);
  return context.db.transaction(async (tx) => {
    const old = await tx
      .select({ id: deletions.id })
      .from(deletions)
      .where(and(lt(deletions.at, before)))
      .for('update', { skipLocked: true });
    await purge(
      tx,
      old.map(({ id }) => id),
    );
    return old.length;
  });
}
