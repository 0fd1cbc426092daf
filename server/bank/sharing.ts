import { count, eq, inArray, sql } from 'drizzle-orm';
import type { GrantedTo, Sharing } from '#contracts';
import { granteeKey } from '#core/rights';
import { type Queries, collections, grants, groups, members } from '../db';
import { Refusal } from '../http';
import { leavingNoneUnkept } from './keeping';
import { granteeOf, rightsFor, wayUp } from './rights';

/** What a collection grants, and what is passed down to it; of collections that the member may not see not the name. */
export async function sharingOf(db: Queries, member: string, collection: string): Promise<Sharing> {
  const way = (await wayUp(db, collection)).map(({ id }) => id);
  const rights = await rightsFor(db, member);
  const rows = await db
    .select({ grant: grants, name: collections.name })
    .from(grants)
    .innerJoin(collections, eq(collections.id, grants.collection))
    .where(inArray(grants.collection, way));
  const [{ version } = { version: 1 }] = await db
    .select({ version: collections.sharingVersion })
    .from(collections)
    .where(eq(collections.id, collection));
  const said = rows.map(({ grant, name }) => ({
    at: grant.collection,
    to: granteeOf(grant),
    right: grant.right,
    from: rights.has(grant.collection) ? name : null,
  }));
  return {
    version,
    grants: said.filter(({ at }) => at === collection).map(({ to, right }) => ({ to, right })),
    passedDown: said
      .filter(({ at }) => at !== collection)
      .map(({ to, right, from }) => ({ to, right, from })),
  };
}

async function mustExist(tx: Queries, granted: readonly GrantedTo[]): Promise<void> {
  const ids = (kind: 'member' | 'group') => granted.flatMap(({ to }) => (to.kind === kind ? [to.id] : []));
  const known = async (table: typeof members | typeof groups, wanted: string[]) => {
    if (wanted.length === 0) return true;
    const [found] = await tx.select({ count: count() }).from(table).where(inArray(table.id, wanted));
    return found?.count === new Set(wanted).size;
  };
  if ((await known(members, ids('member'))) && (await known(groups, ids('group')))) return;
  throw new Refusal('not-valid', 'One of those it was shared with no longer exists. Nothing was changed.');
}

/** Sets what a collection grants, in place of what it granted. Throws a Refusal where nobody would keep it. */
export async function setGrants(
  tx: Queries,
  collection: string,
  granted: readonly GrantedTo[],
): Promise<void> {
  if (new Set(granted.map(({ to }) => granteeKey(to))).size < granted.length)
    throw new Refusal('not-valid', 'Someone is named twice. Nothing was changed.');
  await mustExist(tx, granted);
  const rows = granted.map(({ to, right }) => ({
    collection,
    member: to.kind === 'member' ? to.id : null,
    group: to.kind === 'group' ? to.id : null,
    right,
  }));
  const put = async () => {
    await tx.delete(grants).where(eq(grants.collection, collection));
    await tx
      .update(collections)
      .set({ sharingVersion: sql`${collections.sharingVersion} + 1` })
      .where(eq(collections.id, collection));
    if (rows.length > 0) await tx.insert(grants).values(rows);
  };
  await leavingNoneUnkept(tx, put, 'It needs a keeper');
}

/** Lets a member keep a collection, whatever it granted them. */
export async function letKeep(tx: Queries, member: string, collection: string): Promise<void> {
  await tx
    .update(collections)
    .set({ sharingVersion: sql`${collections.sharingVersion} + 1` })
    .where(eq(collections.id, collection));
  await tx
    .insert(grants)
    .values({ collection, member, group: null, right: 'keep' })
    .onConflictDoUpdate({ target: [grants.collection, grants.member, grants.group], set: { right: 'keep' } });
}
