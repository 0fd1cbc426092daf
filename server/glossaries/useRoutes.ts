import { desc, eq, sql, sum } from 'drizzle-orm';
import type { Router } from 'express';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import type { Context } from '../context';
import { preferences, uses } from '../db/schema';
import { bind } from '../http/bind';

const DAYS_SHOWN = 400;
const total = (column: Parameters<typeof sum>[0]) => sum(column).mapWith(Number);

/** What members use and how they like to be offered it. Each sees their own alone. */
export function useRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'ownUses', async ({ member }) => {
    const used = await db
      .select({
        source: uses.source,
        list: uses.list,
        term: uses.term,
        kind: uses.kind,
        times: total(uses.times),
      })
      .from(uses)
      .where(eq(uses.member, member.id))
      .groupBy(uses.source, uses.list, uses.term, uses.kind);
    const days = await db
      .select({
        day: uses.day,
        times: total(uses.times),
        shown: total(uses.shown),
        pressed: total(uses.pressed),
      })
      .from(uses)
      .where(eq(uses.member, member.id))
      .groupBy(uses.day)
      .orderBy(desc(uses.day))
      .limit(DAYS_SHOWN);
    return { used, days };
  });

  bind(router, context, 'countUses', async ({ member, body }) => {
    const { day, kind } = body;
    // One row for each thing, or the store would be asked to add to one row twice in one statement.
    const rows = new Map<string, (typeof body.uses)[number]>();
    for (const use of body.uses) {
      const key = JSON.stringify([use.source, use.list, use.term]);
      const before = rows.get(key);
      rows.set(key, {
        ...use,
        times: use.times + (before?.times ?? 0),
        shown: use.shown + (before?.shown ?? 0),
        pressed: use.pressed + (before?.pressed ?? 0),
        lookedUp: use.lookedUp + (before?.lookedUp ?? 0),
      });
    }
    if (rows.size === 0) return undefined;
    await db
      .insert(uses)
      .values([...rows.values()].map((use) => ({ ...use, member: member.id, day, kind })))
      .onConflictDoUpdate({
        target: [uses.member, uses.source, uses.list, uses.term, uses.kind, uses.day],
        set: {
          times: sql`${uses.times} + excluded.times`,
          shown: sql`${uses.shown} + excluded.shown`,
          pressed: sql`${uses.pressed} + excluded.pressed`,
          lookedUp: sql`${uses.lookedUp} + excluded.looked_up`,
        },
      });
    return undefined;
  });

  bind(router, context, 'preferences', async ({ member }) => {
    const [row] = await db.select().from(preferences).where(eq(preferences.member, member.id));
    return row?.content ?? DEFAULT_PREFERENCES;
  });

  bind(router, context, 'savePreferences', async ({ member, body }) => {
    await db
      .insert(preferences)
      .values({ member: member.id, content: body })
      .onConflictDoUpdate({ target: preferences.member, set: { content: body } });
    return body;
  });
}
