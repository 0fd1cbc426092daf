import { and, eq, inArray, isNotNull, or, type SQL } from 'drizzle-orm';
import type { Queries } from '../db/openStore';
import { collections, entries, grants } from '../db/schema';
import { notFound, Refusal } from '../http/refusal';

export type Right = 'read' | 'contribute' | 'keep';

/** Collections a member may see, each with the right they have on it; joined to whatever asks for it. */
export function visibleTo(db: Queries, member: string) {
  return db
    .select({ collection: collections, granted: grants.right })
    .from(collections)
    .leftJoin(grants, and(eq(grants.collection, collections.id), eq(grants.member, member)))
    .where(isVisible(member));
}

const isVisible = (member: string): SQL | undefined =>
  or(eq(collections.ownedBy, member), isNotNull(grants.right));

/** What a member may do in a collection; null when it does not exist for them. */
export async function rightOn(db: Queries, member: string, collection: string): Promise<Right | null> {
  const [found] = await db
    .select({ ownedBy: collections.ownedBy, granted: grants.right })
    .from(collections)
    .leftJoin(grants, and(eq(grants.collection, collections.id), eq(grants.member, member)))
    .where(and(eq(collections.id, collection), isVisible(member)));
  if (!found) return null;
  return found.ownedBy === member ? 'keep' : found.granted;
}

/** Throws unless the member may keep entries in the collection; what they may not see is not found. */
export async function mustKeep(db: Queries, member: string, collection: string): Promise<void> {
  const right = await rightOn(db, member, collection);
  if (right === null) throw notFound();
  if (right !== 'keep') {
    throw new Refusal(
      'not-allowed',
      'Only its keepers change this collection. Keep the entry in your own wording instead.',
    );
  }
}

/** Those of some entries that the member may see, by id, each with the owner of its collection (null: shared). */
export async function visibleEntries(db: Queries, member: string, ids: readonly string[]) {
  const rows = await db
    .select({ entry: entries, ownedBy: collections.ownedBy })
    .from(entries)
    .innerJoin(collections, eq(collections.id, entries.collection))
    .leftJoin(grants, and(eq(grants.collection, collections.id), eq(grants.member, member)))
    .where(and(inArray(entries.id, [...ids]), isVisible(member)));
  return new Map(rows.map(({ entry, ownedBy }) => [entry.id, { ...entry, ownedBy }]));
}

/** The entry, if the member may see it; throws the same refusal for "not there" and "not yours". */
export async function visibleEntry(db: Queries, member: string, id: string) {
  const [entry] = await db.select().from(entries).where(eq(entries.id, id));
  if (!entry || (await rightOn(db, member, entry.collection)) === null) throw notFound();
  return entry;
}
