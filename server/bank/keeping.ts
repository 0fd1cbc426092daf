import { eq, isNull } from 'drizzle-orm';
import { treeBranches } from '#core/rights';
import { type Queries, collections, grants, groupMembers, members } from '../db';
import { Refusal } from '../http';

/** The shared collections that nobody of the team keeps. */
export async function unkept(tx: Queries): Promise<Set<string>> {
  const rows = await tx.select().from(collections).where(isNull(collections.deletion));
  const present = await tx.select({ id: members.id }).from(members).where(isNull(members.leftAt));
  const here = new Set(present.map(({ id }) => id));
  const belonging = await tx.select().from(groupMembers);
  const peopled = new Set(belonging.filter(({ member }) => here.has(member)).map(({ group }) => group));
  const keeping = await tx.select().from(grants).where(eq(grants.right, 'keep'));
  const kept = new Set(
    keeping
      .filter(({ member, group }) =>
        member !== null ? here.has(member) : group === null || peopled.has(group),
      )
      .map(({ collection }) => collection),
  );
  const found = new Set<string>();
  // From the top in, so that what is around each was looked at before.
  for (const { node } of treeBranches(rows)) {
    const passed = node.parent !== null && kept.has(node.parent);
    if (passed) kept.add(node.id);
    if (node.ownedBy === null && !kept.has(node.id)) found.add(node.id);
  }
  return found;
}

/** Does what takes someone's rights away; throws, undoing it, where collections would be left that nobody keeps. */
export async function leavingNoneUnkept(
  tx: Queries,
  work: () => Promise<void>,
  advice = 'Choose who takes over what they keep',
): Promise<void> {
  const before = await unkept(tx);
  await work();
  const left = [...(await unkept(tx))].filter((id) => !before.has(id)).length;
  if (left === 0) return;
  const what = left === 1 ? 'One collection' : `${left} collections`;
  throw new Refusal('not-valid', `${what} would have no keeper. ${advice}; nothing was changed.`);
}
