import { sql } from 'drizzle-orm';
import { type Queries, collections, isAmong } from '../db';
import { countChange } from './entryStatements';

/**
 * The number of the next change of a collection. Until this transaction ends no other can take one, so that whoever has
 * seen a number has seen all below it.
 */
export async function nextChange(tx: Queries, collection: string): Promise<number> {
  const [row] = await countChange(tx).execute({ collection });
  return row!.change;
}

/** The numbers of the next changes of some collections, by their ids: held as by `nextChange`, which counts one. */
export async function nextChanges(tx: Queries, ids: readonly string[]): Promise<Map<string, number>> {
  // In one order, so that two who change many collections at once do not wait for each other.
  await holdCollections(tx, ids);
  const counted = await tx
    .update(collections)
    .set({ changes: sql`${collections.changes} + 1` })
    .where(isAmong(collections.id, ids))
    .returning({ id: collections.id, change: collections.changes });
  return new Map(counted.map(({ id, change }) => [id, change]));
}

/** Writes down that entries went out of their collections, so that pages that have them let go of them. */
export async function depart(
  tx: Queries,
  gone: readonly { id: string; collection: string }[],
): Promise<void> {
  if (gone.length === 0) return;
  const changes = await nextChanges(
    tx,
    gone.map(({ collection }) => collection),
  );
  const left = gone.map(({ id, collection }) => ({
    ...{ entry: id, collection },
    change: changes.get(collection)!,
  }));
  await tx.execute(sql`
    insert into departures (collection, entry, change)
    select one.collection, one.entry, one.change
    from jsonb_to_recordset(${JSON.stringify(left)}::jsonb) as one(collection text, entry text, change int)
    on conflict (collection, entry) do update set change = excluded.change`);
}

/** The collections of some entries, each held until the transaction ends. */
export async function holdCollections(tx: Queries, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  await tx
    .select({ id: collections.id })
    .from(collections)
    .where(isAmong(collections.id, [...new Set(ids)]))
    .orderBy(collections.id)
    .for('update');
}
