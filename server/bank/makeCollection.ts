import { and, isNotNull, isNull, max, not, or, sql } from 'drizzle-orm';
import type { CollectionSettings } from '#contracts';
import type { Context } from '../context';
import { type Queries, collectionRevisions, collections, isAmong } from '../db';
import { writeTrailLines } from '../trail';
import { mustKeepIt } from './changingCollections';
import { letKeep } from './sharing';

/** Writes down what the settings of a collection are at a version. */
export const keepSettings = (
  context: Context,
  tx: Queries,
  saved: Omit<typeof collectionRevisions.$inferInsert, 'savedAt'>,
) => tx.insert(collectionRevisions).values({ ...saved, savedAt: context.now() });

interface Made {
  id: string;
  parent: string | null;
  settings: CollectionSettings;
}

/** Puts the rows of collections where nobody sees them until what named them as gone brings them here (`settleCollections`). */
export async function insertHidden(
  tx: Queries,
  made: readonly (Made & { ownedBy: string | null })[],
  deletion: string,
): Promise<void> {
  if (made.length === 0) return;
  const rows = made.map(({ settings, ...one }) => ({ ...one, deletion, position: 0, ...settings }));
  await tx.insert(collections).values(rows);
}

/**
 * At which position each of some collections stands when they come last beside those that are there, in their order. Whose own is
 * at the top does not count there: it stands last, whatever comes.
 */
async function lastPositions(
  tx: Queries,
  made: readonly Made[],
): Promise<{ id: string; position: number }[]> {
  const own = made.map(({ id }) => id);
  const beside = await tx
    .select({ parent: collections.parent, last: max(collections.position) })
    .from(collections)
    .where(
      and(not(isAmong(collections.id, own)), or(isNotNull(collections.parent), isNull(collections.ownedBy))),
    )
    .groupBy(collections.parent);
  const last = new Map(beside.map(({ parent, last }) => [parent, last ?? -1]));
  return made.map(({ id, parent }) => {
    const position = (last.get(parent) ?? -1) + 1;
    last.set(parent, position);
    return { id, position };
  });
}

/**
 * Puts collections whose rows are there last of those beside them, each with its first version and its line in the trail. In a few
 * statements, however many a file brings.
 */
export async function settleCollections(
  context: Context,
  tx: Queries,
  member: string,
  made: readonly Made[],
): Promise<void> {
  if (made.length === 0) return;
  const at = context.now();
  await tx.execute(sql`
    update collections set deletion = null, position = one.position
    from jsonb_to_recordset(${JSON.stringify(await lastPositions(tx, made))}::jsonb) as one(id text, position int)
    where collections.id = one.id`);
  const first = { version: 1, savedBy: member, reason: '', savedAt: at };
  await tx
    .insert(collectionRevisions)
    .values(made.map(({ id, settings }) => ({ collection: id, settings, ...first })));
  // At the top it is for its maker alone, until they share it.
  for (const { id, parent } of made) if (parent === null) await letKeep(tx, member, id);
  await writeTrailLines(
    tx,
    at,
    made.map(({ id, settings }) => ({
      by: member,
      act: 'collection-made' as const,
      subject: settings.name,
      collection: id,
    })),
  );
}

/**
 * Makes a collection, last within one that the member keeps or at the top. The tree must be held; whether it lies too deep is to be
 * looked at afterwards (`mustFindRoom`).
 */
export async function makeCollection(
  context: Context,
  tx: Queries,
  member: string,
  made: Made,
): Promise<void> {
  const around = made.parent === null ? null : await mustKeepIt(tx, member, made.parent);
  const { id, parent, settings } = made;
  await tx
    .insert(collections)
    .values({ id, parent, ownedBy: around?.ownedBy ?? null, position: 0, ...settings });
  await settleCollections(context, tx, member, [made]);
}
