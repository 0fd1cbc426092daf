import { and, asc, eq, inArray, ne, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Group, Team } from '#contracts';
import { leavingNoneUnkept } from '../bank';
import { inOrder } from '#core/language';
import type { Context } from '../context';
import { groupMembers, groups, members, type Database, type Queries } from '../db';
import { bind, notFound, Refusal } from '../http';
import { writeTrail } from '../trail';

async function mustBeFree(tx: Queries, name: string, id: string): Promise<void> {
  const [other] = await tx
    .select()
    .from(groups)
    .where(and(eq(groups.name, name), ne(groups.id, id)));
  if (other)
    throw new Refusal('not-valid', `There is a group called “${name}” already. Choose another name.`, {
      faults: [{ place: 'name', message: 'A group has this name already' }],
    });
}

async function setMembers(tx: Queries, group: string, wanted: readonly string[]): Promise<void> {
  const ids = [...new Set(wanted)];
  const known =
    ids.length === 0 ? [] : await tx.select({ id: members.id }).from(members).where(inArray(members.id, ids));
  if (known.length < ids.length)
    throw new Refusal('not-valid', 'One of these people no longer exists. Nothing was changed.');
  await tx.delete(groupMembers).where(eq(groupMembers.group, group));
  if (ids.length > 0) await tx.insert(groupMembers).values(ids.map((member) => ({ group, member })));
}

/** Everyone there is, and the groups they are in. */
async function readTeam(db: Database): Promise<Team> {
  const everyone = await db
    .select({
      id: members.id,
      name: members.name,
      job: members.job,
      left: sql<boolean>`${members.leftAt} is not null`,
    })
    .from(members)
    .orderBy(asc(members.createdAt));
  const all = (await db.select().from(groups)).sort((a, b) => inOrder(a.name, b.name));
  const belonging = await db.select().from(groupMembers).orderBy(asc(groupMembers.member));
  return {
    members: everyone,
    groups: all.map((group) => ({
      ...group,
      members: belonging.filter((one) => one.group === group.id).map(({ member }) => member),
    })),
  };
}

/** The team and its groups: members to whom things are shared together. */
export function groupRoutes(router: Router, context: Context): void {
  const { db, events } = context;
  const changed = async () => {
    await events.reachChanged();
    await events.tellAll({ type: 'people-changed' });
  };

  bind(router, context, 'team', () => readTeam(db));

  bind(router, context, 'makeGroup', async ({ member, body }) => {
    const id = context.newId();
    await db.transaction(async (tx) => {
      await mustBeFree(tx, body.name, id);
      await tx.insert(groups).values({ id, name: body.name });
      await setMembers(tx, id, body.members);
      await writeTrail(tx, context.now(), { by: member.id, act: 'group-made', subject: body.name });
    });
    await changed();
    return { id, ...body } satisfies Group;
  });

  bind(router, context, 'saveGroup', async ({ member, params, body }) => {
    await db.transaction(async (tx) => {
      await mustBeFree(tx, body.name, params.group);
      const [row] = await tx
        .update(groups)
        .set({ name: body.name })
        .where(eq(groups.id, params.group))
        .returning();
      if (!row) throw notFound();
      await leavingNoneUnkept(tx, () => setMembers(tx, row.id, body.members));
      const detail = `${body.members.length} in it`;
      await writeTrail(tx, context.now(), {
        by: member.id,
        act: 'group-changed',
        subject: body.name,
        detail,
      });
    });
    await changed();
    return { id: params.group, ...body };
  });

  bind(router, context, 'dropGroup', async ({ member, params }) => {
    await db.transaction(async (tx) => {
      const [row] = await tx.select().from(groups).where(eq(groups.id, params.group));
      if (!row) throw notFound();
      await leavingNoneUnkept(tx, async () => {
        await tx.delete(groups).where(eq(groups.id, row.id));
      });
      await writeTrail(tx, context.now(), { by: member.id, act: 'group-deleted', subject: row.name });
    });
    await changed();
    return undefined;
  });
}
