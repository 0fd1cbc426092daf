import { and, isNull } from 'drizzle-orm';
import { rightsFor } from './rights';
import { type Queries, collections } from '../db';

/** The shared collections that a member sees, each with what they may do there. */
export async function sharedRights(db: Queries, member: string) {
  const rights = await rightsFor(db, member);
  const shared = await db
    .select({ id: collections.id })
    .from(collections)
    .where(and(isNull(collections.ownedBy), isNull(collections.deletion)));
  return new Map(
    shared.flatMap(({ id }) => {
      const right = rights.get(id);
      return right ? [[id, right] as const] : [];
    }),
  );
}
