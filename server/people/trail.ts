import { and, desc, eq, gte, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { ACTS_ABOUT, type Act } from '#contracts';
import { cutTo } from '#core/language';
import { rightsFor } from '../bank/rights';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { members, trail } from '../db/schema';
import { bind } from '../http/bind';

const PAGE = 200;
const DETAIL_LENGTH = 500;

/** Something that was done, to be written down with it. */
export interface Done {
  by: string;
  act: Act;
  subject: string;
  detail?: string;
  /** Where only those who see a collection may know of it. */
  collection?: string;
}

/** Writes down what is done, in the transaction that does it. */
export async function record(tx: Queries, now: Date, done: Done): Promise<void> {
  await recordAll(tx, now, [done]);
}

/** Writes down what is done to many things at once, in the transaction that does it. */
export async function recordAll(tx: Queries, now: Date, all: readonly Done[]): Promise<void> {
  if (all.length === 0) return;
  const rows = all.map(({ by, act, subject, detail = '', collection = null }) => ({
    by,
    act,
    subject,
    detail: cutTo(detail, DETAIL_LENGTH),
    collection,
  }));
  // One value and one statement, however many they are.
  await tx.execute(sql`
    insert into ${trail} (at, by, by_name, act, subject, detail, collection)
    select ${now.toISOString()}::timestamptz, line.by, ${members.name}, line.act, line.subject, line.detail, line.collection
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
      as line(by text, act text, subject text, detail text, collection text)
    join ${members} on ${members.id} = line.by`);
}

/** The trail, for owners. What was done in collections they do not see is not in it. */
export function trailRoutes(router: Router, context: Context): void {
  const { db } = context;
  bind(router, context, 'trail', async ({ member, body }) => {
    const seen = [...(await rightsFor(db, member.id)).keys()];
    const rows = await db
      .select({
        id: trail.id,
        at: trail.at,
        by: sql<string>`coalesce(${trail.byName}, ${members.name})`,
        act: trail.act,
        subject: trail.subject,
        detail: trail.detail,
      })
      .from(trail)
      .innerJoin(members, eq(members.id, trail.by))
      .where(
        and(
          or(isNull(trail.collection), inArray(trail.collection, seen)),
          body.about ? inArray(trail.act, [...ACTS_ABOUT[body.about]]) : undefined,
          body.by ? eq(trail.by, body.by) : undefined,
          body.from ? gte(trail.at, new Date(body.from)) : undefined,
          body.until ? lt(trail.at, new Date(body.until)) : undefined,
          body.before ? lt(trail.id, body.before) : undefined,
        ),
      )
      .orderBy(desc(trail.id))
      .limit(PAGE + 1);
    const lines = rows.slice(0, PAGE).map((row) => ({ ...row, at: row.at.toISOString() }));
    return { lines, more: rows.length > PAGE };
  });
}
