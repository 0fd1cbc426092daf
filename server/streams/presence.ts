import { inOrder } from '#core/language';
import type { Router } from 'express';
import { and, eq, gt, inArray, lt, ne } from 'drizzle-orm';
import { visibleEntry } from '../bank';
import type { Context } from '../context';
import { members, presences } from '../db';
import { bind } from '../http';

/** A page that says nothing for so long is not there any more: it says so every half of this. */
const LASTS_MS = 40_000;

/** Who has an entry open: told by their pages, forgotten by itself. */
export function presenceRoutes(router: Router, context: Context): void {
  const { db, events } = context;

  const othersAt = async (entry: string, member: string) => {
    const rows = await db
      .selectDistinct({ id: members.id, name: members.name })
      .from(presences)
      .innerJoin(members, eq(members.id, presences.member))
      .where(
        and(eq(presences.entry, entry), ne(presences.member, member), gt(presences.until, context.now())),
      );
    return rows.sort((a, b) => inOrder(a.name, b.name));
  };
  const tellOthers = async (entry: string, others: readonly { id: string }[]) => {
    for (const { id } of others) await events.tell(id, { type: 'presence-changed', entry });
  };

  bind(router, context, 'present', async ({ member, params, body }) => {
    const entry = await visibleEntry(db, member.id, params.entry);
    const now = context.now();
    const until = new Date(now.getTime() + LASTS_MS);
    const [known] = await db
      .select({ page: presences.page })
      .from(presences)
      .where(and(eq(presences.page, body.page), gt(presences.until, now)));
    await db
      .insert(presences)
      .values({ page: body.page, entry: entry.id, member: member.id, until })
      .onConflictDoUpdate({
        target: presences.page,
        set: { entry: entry.id, until },
        setWhere: eq(presences.member, member.id),
      });
    const others = await othersAt(entry.id, member.id);
    if (!known) {
      await db.delete(presences).where(lt(presences.until, now));
      await tellOthers(entry.id, others);
    }
    return others.map(({ name }) => name);
  });

  bind(router, context, 'gone', async ({ member, params }) => {
    const left = await db
      .delete(presences)
      .where(and(eq(presences.member, member.id), inArray(presences.page, [params.page])))
      .returning({ entry: presences.entry });
    for (const { entry } of left) await tellOthers(entry, await othersAt(entry, member.id));
    return undefined;
  });
}
