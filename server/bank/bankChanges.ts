import { inArray } from 'drizzle-orm';
import { type Queries, collections, departures } from '../db';
import { countChange } from './entryStatements';

/**
 * The number of the next change of a collection. Until this transaction ends no other can take one, so that whoever has
 * seen a number has seen all below it.
 */
export async function nextChange(tx: Queries, collection: string): Promise<number> {
  const [row] = await countChange(tx).execute({ collection });
  return row!.change;
}

/** Writes down that entries went out of their collections, so that pages that have them let go of them. */
export async function depart(
  tx: Queries,
  gone: readonly { id: string; collection: string }[],
): Promise<void> {
  // In one order, so that two who change many collections at once do not wait for each other.
  for (const collection of [...new Set(gone.map((one) => one.collection))].sort()) {
    const change = await nextChange(tx, collection);
    const left = gone.filter((one) => one.collection === collection);
    await tx
      .insert(departures)
      .values(left.map(({ id }) => ({ collection, entry: id, change })))
      .onConflictDoUpdate({ target: [departures.collection, departures.entry], set: { change } });
  }
}

/** The collections of some entries, each held until the transaction ends. */
export async function holdCollections(tx: Queries, ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return;
  await tx
    .select({ id: collections.id })
    .from(collections)
    .where(inArray(collections.id, [...new Set(ids)]))
    .orderBy(collections.id)
    .for('update');
}
