import { hash, verify } from '@node-rs/argon2';
import { and, desc, eq, gt, ne } from 'drizzle-orm';
import type { Router } from 'express';
import { ROUTES, type Member } from '#contracts';
import { limitTries, bind, notFound, Refusal } from '../http';
import { memberColumns, sessionOf } from '../auth';
import type { Context } from '../context';
import { members, sessions } from '../db';
import { writeTrail } from '../trail';

/** So much of a session's hash tells it from the member's others; what is shown is no secret. */
const SHOWN = 16;

/** Sets a member's password, and ends their other sessions. Throws where the one they have is not what they say. */
async function changePassword(
  context: Context,
  { id, name }: Member,
  { old, password }: { old: string; password: string },
  current: string,
): Promise<void> {
  const { db, events } = context;
  const [row] = await db.select().from(members).where(eq(members.id, id));
  // Members of the demo have none: theirs cannot be set, or nobody else could try the demo as them.
  const isRight = row?.passwordHash && (await verify(row.passwordHash, old).catch(() => false));
  if (!isRight)
    throw new Refusal('wrong-password', 'That is not your current password. Nothing was changed.');
  const passwordHash = await hash(password);
  await db.transaction(async (tx) => {
    await tx.update(members).set({ passwordHash }).where(eq(members.id, id));
    await tx.delete(sessions).where(and(eq(sessions.member, id), ne(sessions.tokenHash, current)));
    await writeTrail(tx, context.now(), { by: id, act: 'password-changed', subject: name });
  });
  await events.sessionsEnded(id, current);
}

/** What members do about themselves: their details, password and sessions. */
export function ownRoutes(router: Router, context: Context): void {
  const { db, events } = context;
  router.put(ROUTES.changePassword.path, limitTries());

  bind(router, context, 'saveOwnDetails', async ({ member, body }) => {
    const row = await db.transaction(async (tx) => {
      // Written first: it is told by the name that was theirs until now.
      const detail = body.name === member.name ? '' : `now ${body.name}`;
      await writeTrail(tx, context.now(), {
        by: member.id,
        act: 'details-changed',
        subject: member.name,
        detail,
      });
      const [saved] = await tx
        .update(members)
        .set(body)
        .where(eq(members.id, member.id))
        .returning(memberColumns);
      return saved;
    });
    await events.tellAll({ type: 'people-changed' });
    return row!;
  });

  bind(router, context, 'changePassword', async ({ member, body, request }) => {
    await changePassword(context, member, body, sessionOf(request));
    return undefined;
  });

  bind(router, context, 'ownSessions', async ({ member, request }) => {
    const rows = await db
      .select()
      .from(sessions)
      .where(and(eq(sessions.member, member.id), gt(sessions.endsAt, context.now())))
      .orderBy(desc(sessions.seenAt));
    const current = sessionOf(request);
    return rows.map(({ tokenHash, createdAt, seenAt, browser, scope, name }) => ({
      id: tokenHash.slice(0, SHOWN),
      startedAt: createdAt.toISOString(),
      seenAt: seenAt.toISOString(),
      browser,
      companion: scope === 'companion',
      name,
      current: tokenHash === current,
    }));
  });

  bind(router, context, 'endSession', async ({ member, params }) => {
    const own = await db.select().from(sessions).where(eq(sessions.member, member.id));
    const found = own.find(({ tokenHash }) => tokenHash.slice(0, SHOWN) === params.session);
    if (!found) throw notFound();
    await db.delete(sessions).where(eq(sessions.tokenHash, found.tokenHash));
    await events.sessionEnded(member.id, found.tokenHash);
    return undefined;
  });

  bind(router, context, 'endOtherSessions', async ({ member, request }) => {
    const current = sessionOf(request);
    await db.delete(sessions).where(and(eq(sessions.member, member.id), ne(sessions.tokenHash, current)));
    await events.sessionsEnded(member.id, current);
    return undefined;
  });
}
