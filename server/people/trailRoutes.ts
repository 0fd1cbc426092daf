import { and, desc, eq, gte, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { ACTS_ABOUT } from '#contracts';
import { rightsFor } from '../bank';
import type { Context } from '../context';
import { members, trail } from '../db';
import { bind } from '../http';

const PAGE = 200;
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
