import { desc, eq, sql, sum } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import type { Router } from 'express';
import type { ToldUses } from '#contracts';
import { isSame } from '#core/difference';
import { DEFAULT_PREFERENCES, PreferencesSchema, type Preferences } from '#core/glossary';
import type { Way } from '#core/savings';
import type { Context } from '../context';
import { preferences, type Queries, uses, waysBrought } from '../db';
import { visibleEntries } from '../bank';
import { bind, Refusal } from '../http';

const DAYS_SHOWN = 400;

/** Preferences without what this version of the program does not know, as they come from a page. */
const known = (content: Preferences): Preferences => PreferencesSchema.safeParse(content).data ?? content;

const total = (column: Parameters<typeof sum>[0]) => sum(column).mapWith(Number);

/** Pages that were offline tell what was used weeks ago; a wrong clock may be a little ahead. */
const [BACK_MS, AHEAD_MS] = [60 * 86_400_000, 2 * 86_400_000];
function isNear(day: string, now: Date): boolean {
  const ahead = Date.parse(`${day}T00:00:00Z`) - now.getTime();
  return ahead <= AHEAD_MS && ahead >= -BACK_MS;
}

/** The most that a number of the store holds. */
const MOST = 2_147_483_647;
const added = (column: AnyPgColumn, name: string) =>
  sql`least(${column}::bigint + excluded.${sql.raw(name)}, ${MOST})`;

/** Adds what was used to the counts of a member: one row for each thing, or the store would be asked to add to one twice in one statement. */
async function addUses(tx: Queries, member: string, { day, kind, uses: told }: ToldUses): Promise<void> {
  const rows = new Map<string, typeof uses.$inferInsert>();
  for (const { source, list, term, times, shown, pressed, brought } of told) {
    const key = JSON.stringify([source, list, term]);
    const before = rows.get(key);
    rows.set(key, {
      ...{ member, source, list, term, kind, day },
      times: times + (before?.times ?? 0),
      shown: shown + (before?.shown ?? 0),
      pressed: pressed + (before?.pressed ?? 0),
      lookedUp: (brought?.way === 'look-up' ? times : 0) + (before?.lookedUp ?? 0),
    });
  }
  await tx
    .insert(uses)
    .values([...rows.values()])
    .onConflictDoUpdate({
      target: [uses.member, uses.source, uses.list, uses.term, uses.kind, uses.day],
      set: {
        times: added(uses.times, 'times'),
        shown: added(uses.shown, 'shown'),
        pressed: added(uses.pressed, 'pressed'),
        lookedUp: added(uses.lookedUp, 'looked_up'),
      },
    });
}

/** Adds in which ways things were brought to the counts of a member. */
async function addWays(tx: Queries, member: string, { day, uses: told }: ToldUses): Promise<void> {
  const rows = new Map<Way, typeof waysBrought.$inferInsert>();
  for (const { times, brought } of told) {
    if (!brought) continue;
    const { way, keys } = brought;
    const before = rows.get(way);
    rows.set(way, {
      ...{ member, way, day },
      times: times + (before?.times ?? 0),
      keys: keys + (before?.keys ?? 0),
    });
  }
  if (rows.size === 0) return;
  await tx
    .insert(waysBrought)
    .values([...rows.values()])
    .onConflictDoUpdate({
      target: [waysBrought.member, waysBrought.way, waysBrought.day],
      set: { times: added(waysBrought.times, 'times'), keys: added(waysBrought.keys, 'keys') },
    });
}

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
    if (!isNear(body.day, context.now()))
      throw new Refusal('not-valid', 'Uses are told within some weeks. Nothing was counted.');
    const ids = body.uses.flatMap(({ source, list }) => (source === 'entry' ? [list] : []));
    const seen = await visibleEntries(db, member.id, ids);
    // What one may not see one has not placed.
    const own = body.uses.filter(({ source, list }) => source !== 'entry' || seen.has(list));
    if (own.length === 0) return undefined;
    await db.transaction(async (tx) => {
      await addUses(tx, member.id, { ...body, uses: own });
      await addWays(tx, member.id, { ...body, uses: own });
    });
    return undefined;
  });

  bind(router, context, 'preferences', async ({ member }) => {
    const [row] = await db.select().from(preferences).where(eq(preferences.member, member.id));
    return row?.content ?? DEFAULT_PREFERENCES;
  });

  bind(router, context, 'savePreferences', async ({ member, body: { was, ...content } }) => {
    await db.transaction(async (tx) => {
      // Two who change them at once come one after the other, also where none were saved yet.
      await tx
        .insert(preferences)
        .values({ member: member.id, content: DEFAULT_PREFERENCES })
        .onConflictDoNothing();
      const ofMember = eq(preferences.member, member.id);
      const [row] = await tx.select().from(preferences).where(ofMember).for('update');
      if (was && !isSame(known(row!.content), was))
        throw new Refusal(
          'moved-on',
          'Your preferences were changed on another page meanwhile. Nothing was saved: change them again.',
        );
      await tx.update(preferences).set({ content }).where(ofMember);
    });
    return content;
  });
}
