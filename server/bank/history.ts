import { and, eq, isNull, type SQL } from 'drizzle-orm';
import type { Queries } from '../db/openStore';
import { entries } from '../db/schema';
import { notFound } from '../http/refusal';
import { becameIt } from '../order/unmerge';
import { rightOn } from './rights';

/**
 * Throws as for something that is not there, unless the member may see the entry; or had it become another that they see, and
 * saw it where it was: its history is that one's then.
 */
export async function mustSeeHistory(db: Queries, member: string, id: string): Promise<void> {
  const collectionsOf = async (where: SQL | undefined) =>
    db.select({ collection: entries.collection }).from(entries).where(where);
  const [alive] = await collectionsOf(and(eq(entries.id, id), isNull(entries.deletion)));
  const [into] = alive ? [] : await collectionsOf(becameIt(id));
  const [gone] = into ? await collectionsOf(eq(entries.id, id)) : [];
  const asked = [alive, into, gone].filter((one) => one !== undefined);
  if (asked.length === 0) throw notFound();
  for (const { collection } of asked) if ((await rightOn(db, member, collection)) === null) throw notFound();
}
