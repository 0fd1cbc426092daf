import { createHash } from 'node:crypto';
import { rightsOf, type Grant } from '#core/rights';
import { isNull } from 'drizzle-orm';
import { type Queries, collections, grants, groupMembers } from '../db';
import { granteeOf } from './rights';

/** Whether a grant can make one member's rights others than another's of the same groups. */
const namesMember = ({ to }: Grant) => to.kind === 'member';

/**
 * What each of some members sees of the collections, by member: a hash that is another as soon as a collection of theirs,
 * its place, its settings or their right on it is. Members whom the same grants concern share the work.
 */
export async function reachPictures(db: Queries, members: readonly string[]): Promise<Map<string, string>> {
  if (members.length === 0) return new Map();
  // In one order: in which it finds them the store does not say, and whatever is saved may change it.
  const rows = await db
    .select()
    .from(collections)
    .where(isNull(collections.deletion))
    .orderBy(collections.id);
  const granted = (await db.select().from(grants)).map((row): Grant => ({ ...row, to: granteeOf(row) }));
  const belonging = await db.select().from(groupMembers);
  const named = new Set(granted.filter(namesMember).map(({ to }) => (to.kind === 'member' ? to.id : '')));
  const owning = new Set(rows.map(({ ownedBy }) => ownedBy));
  const shared = granted.filter((grant) => !namesMember(grant));
  const byName = (id: string) => granted.filter(({ to }) => to.kind === 'member' && to.id === id);
  const pictureOf = (id: string, groups: ReadonlySet<string>) => {
    const rights = rightsOf({ id, groups }, rows, [...shared, ...byName(id)]);
    const hash = createHash('sha1');
    for (const row of rows)
      if (rights.has(row.id))
        hash.update(`${row.id} ${rights.get(row.id)} ${row.version} ${row.parent} ${row.position}\n`);
    return hash.digest('base64');
  };
  const known = new Map<string, string>();
  return new Map(
    members.map((id) => {
      const own = belonging.filter(({ member }) => member === id).map(({ group }) => group);
      const alike = named.has(id) || owning.has(id) ? `member ${id}` : own.sort().join(' ');
      const picture = known.get(alike) ?? pictureOf(id, new Set(own));
      known.set(alike, picture);
      return [id, picture];
    }),
  );
}
