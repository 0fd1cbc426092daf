import { and, eq, isNull, max, ne } from 'drizzle-orm';
import type { CollectionSettings } from '#contracts';
import type { Context } from '../context';
import { type Queries, collectionRevisions, collections } from '../db';
import { writeTrail } from '../trail';
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

/** Puts the row of a collection where nobody sees it until what named it as gone brings it here (`settleCollection`). */
export async function insertHidden(
  tx: Queries,
  { id, parent, settings }: Made,
  { ownedBy, deletion }: { ownedBy: string | null; deletion: string },
): Promise<void> {
  await tx.insert(collections).values({ id, parent, ownedBy, deletion, position: 0, ...settings });
}

/** Puts a collection whose row is there last of those beside it, with its first version and its line in the trail. */
export async function settleCollection(
  context: Context,
  tx: Queries,
  member: string,
  { id, parent, settings }: Made,
): Promise<void> {
  // Last of those beside it, but before one's own; where all stand is not looked at, since a file may bring hundreds.
  const [beside] = await tx
    .select({ last: max(collections.position) })
    .from(collections)
    .where(
      and(
        ne(collections.id, id),
        parent === null
          ? and(isNull(collections.parent), isNull(collections.ownedBy))
          : eq(collections.parent, parent),
      ),
    );
  await tx
    .update(collections)
    .set({ deletion: null, position: (beside?.last ?? -1) + 1 })
    .where(eq(collections.id, id));
  await keepSettings(context, tx, { collection: id, version: 1, settings, savedBy: member, reason: '' });
  // At the top it is for its maker alone, until they share it.
  if (parent === null) await letKeep(tx, member, id);
  const done = { by: member, act: 'collection-made' as const, subject: settings.name, collection: id };
  await writeTrail(tx, context.now(), done);
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
  await settleCollection(context, tx, member, made);
}
