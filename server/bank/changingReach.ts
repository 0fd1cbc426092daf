import { rightsOf } from '#core/rights';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { collections, grants, groupMembers } from '../db/schema';
import { granteeOf } from './rights';

/** What each of some members sees of the collections, written so that two can be compared. */
async function picturesOf(db: Queries, members: readonly string[]): Promise<Map<string, string>> {
  const rows = await db.select().from(collections);
  const granted = (await db.select().from(grants)).map((row) => ({ ...row, to: granteeOf(row) }));
  const belonging = await db.select().from(groupMembers);
  return new Map(
    members.map((id) => {
      const own = belonging.filter(({ member }) => member === id).map(({ group }) => group);
      const rights = rightsOf({ id, groups: new Set(own) }, rows, granted);
      const seen = rows.filter((row) => rights.has(row.id));
      const said = seen.map(
        (row) => `${row.id} ${rights.get(row.id)} ${row.version} ${row.parent} ${row.position}`,
      );
      return [id, said.sort().join('\n')];
    }),
  );
}

/** Does what changes collections, sharing or groups, and tells the open pages of those whose bank is another by it. */
export async function changingReach<T>(context: Context, work: () => Promise<T>): Promise<T> {
  const listening = context.events.listening();
  const before = await picturesOf(context.db, listening);
  const done = await work();
  const after = await picturesOf(context.db, listening);
  for (const member of listening)
    if (before.get(member) !== after.get(member)) context.events.tell(member, { type: 'reach-changed' });
  return done;
}
