import { and, eq, isNull, sql } from 'drizzle-orm';
import { type Queries, collections, grants, members } from '../db';
import { Refusal } from '../http';

/**
 * Gives every collection that a member keeps by name to another, who must be of the team. The first may use them still.
 * Returns how many there were.
 */
export async function handOver(tx: Queries, from: string, to: string): Promise<number> {
  const [taker] = await tx
    .select({ id: members.id })
    .from(members)
    .where(and(eq(members.id, to), isNull(members.leftAt)));
  if (!taker || to === from)
    throw new Refusal('not-valid', 'Choose someone else of the team to take it over. Nothing was changed.');
  const given = await tx
    .update(grants)
    .set({ right: 'read' })
    .where(and(eq(grants.member, from), eq(grants.right, 'keep')))
    .returning({ collection: grants.collection });
  for (const { collection } of given) {
    await tx
      .insert(grants)
      .values({ collection, member: to, group: null, right: 'keep' })
      .onConflictDoUpdate({
        target: [grants.collection, grants.member, grants.group],
        set: { right: 'keep' },
      });
    await tx
      .update(collections)
      .set({ sharingVersion: sql`${collections.sharingVersion} + 1` })
      .where(eq(collections.id, collection));
  }
  return given.length;
}
