import { and, asc, eq, isNull, type SQL } from 'drizzle-orm';
import { type Queries, entries, entryMoves } from '../db';
import { notFound } from '../http';
import { becameIt } from './unmerge';
import { rightOn, rightsFor } from './rights';

/**
 * Throws as for something that is not there, unless the member may see the entry; or had it become another that they see, and
 * saw it where it was: its history is that one's then. Returns which of its revisions they may see: what was saved before it
 * moved from one collection to another stays with those who could see it there.
 */
export async function mustSeeHistory(
  db: Queries,
  member: string,
  id: string,
): Promise<(revision: number) => boolean> {
  const collectionsOf = async (where: SQL | undefined) =>
    db.select({ collection: entries.collection }).from(entries).where(where);
  const [alive] = await collectionsOf(and(eq(entries.id, id), isNull(entries.deletion)));
  const [into] = alive ? [] : await collectionsOf(becameIt(id));
  const [gone] = into ? await collectionsOf(eq(entries.id, id)) : [];
  const asked = [alive, into, gone].filter((one) => one !== undefined);
  if (asked.length === 0) throw notFound();
  for (const { collection } of asked) if ((await rightOn(db, member, collection)) === null) throw notFound();
  return maySee(db, member, id);
}

/** Which revisions of an entry a member may see, by the collections that it was in before. */
async function maySee(db: Queries, member: string, id: string): Promise<(revision: number) => boolean> {
  const moves = await db
    .select({ revision: entryMoves.revision, from: entryMoves.from })
    .from(entryMoves)
    .where(eq(entryMoves.entry, id))
    .orderBy(asc(entryMoves.revision));
  if (moves.length === 0) return () => true;
  // A collection that lies in the wastebasket has its rights still.
  const rights = await rightsFor(db, member, { evenDeleted: true });
  // The revision at which it moved was seen in both; those before it only where it was.
  return (revision) => moves.every((move) => revision >= move.revision || rights.has(move.from));
}
