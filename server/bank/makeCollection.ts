import type { CollectionSettings } from '#contracts';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { collectionRevisions, collections } from '../db/schema';
import { record } from '../people/trail';
import { mustKeepIt } from './changingCollections';
import { placeCollection } from './placeCollection';
import { setGrants } from './sharing';

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

/** Makes a collection, last within one that the member keeps or at the top. The tree must be held. */
export async function makeCollection(
  context: Context,
  tx: Queries,
  member: string,
  { id, parent, settings }: Made,
): Promise<void> {
  const around = parent === null ? null : await mustKeepIt(tx, member, parent);
  const ownedBy = around?.ownedBy ?? null;
  await tx.insert(collections).values({ id, parent, ownedBy, ...settings });
  await placeCollection(tx, id, { parent, before: null });
  await keepSettings(context, tx, { collection: id, version: 1, settings, savedBy: member, reason: '' });
  // At the top it is for its maker alone, until they share it.
  if (parent === null) await setGrants(tx, id, [{ to: { kind: 'member', id: member }, right: 'keep' }]);
  const done = { by: member, act: 'collection-made' as const, subject: settings.name, collection: id };
  await record(tx, context.now(), done);
}
