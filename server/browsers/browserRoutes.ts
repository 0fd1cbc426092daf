import { randomInt } from 'node:crypto';
import { and, eq, gt } from 'drizzle-orm';
import type { Router } from 'express';
import { BROWSER_CODE_LENGTH, BROWSER_CODE_LETTERS, BROWSER_CODE_MINUTES, ROUTES } from '#contracts';
import { beginCompanion, endSession, hashOf } from '../auth';
import type { Context } from '../context';
import { browserCodes, members, preferences, sessions } from '../db';
import { bind, limitTries, notFound, Refusal } from '../http';
import { settingsOf } from '../wastebasket';
import { writeTrail } from '../trail';

/** What is in reach where no case is. */
const ANY_WORK = 'leaf';

const newCode = (): string =>
  Array.from({ length: BROWSER_CODE_LENGTH }, () =>
    BROWSER_CODE_LETTERS.charAt(randomInt(BROWSER_CODE_LETTERS.length)),
  ).join('');

/** Browsers that are joined, so that the companion brings the bank into other pages. */
export function browserRoutes(router: Router, context: Context): void {
  const { db, events } = context;
  router.post(ROUTES.joinBrowser.path, limitTries());

  bind(router, context, 'makeBrowserCode', async ({ member }) => {
    const code = newCode();
    const endsAt = new Date(context.now().getTime() + BROWSER_CODE_MINUTES * 60_000);
    const row = { codeHash: hashOf(code), endsAt };
    await db
      .insert(browserCodes)
      .values({ member: member.id, ...row })
      .onConflictDoUpdate({ target: browserCodes.member, set: row });
    return { code, endsAt: endsAt.toISOString() };
  });

  bind(router, context, 'joinBrowser', async ({ body, request }) => {
    const joined = await db.transaction(async (tx) => {
      // Taken away as it is used: of two browsers that try it at once one is joined.
      const [used] = await tx
        .delete(browserCodes)
        .where(and(eq(browserCodes.codeHash, hashOf(body.code)), gt(browserCodes.endsAt, context.now())))
        .returning();
      if (!used)
        throw new Refusal(
          'link-used',
          `This code was used already, or is older than ${BROWSER_CODE_MINUTES} minutes. Make a new one on your account.`,
        );
      const [member] = await tx.select().from(members).where(eq(members.id, used.member));
      if (!member || member.leftAt) throw notFound();
      const token = await beginCompanion(context, tx, request, { member: member.id, name: body.name });
      await writeTrail(tx, context.now(), {
        by: member.id,
        act: 'browser-joined',
        subject: member.name,
        detail: body.name,
      });
      return { token, member: member.name, id: member.id };
    });
    await events.tell(joined.id, { type: 'sessions-changed' });
    return { token: joined.token, member: joined.member };
  });

  bind(router, context, 'companion', async ({ member }) => {
    const [row] = await db.select().from(preferences).where(eq(preferences.member, member.id));
    const { leftAlone, pageCards } = await settingsOf(db);
    return {
      member,
      reach: row?.content.reach[ANY_WORK] ?? null,
      signatures: row?.content.signatures ?? [],
      leftAlone: leftAlone ?? [],
      pageCards: pageCards ?? [],
    };
  });

  bind(router, context, 'leaveBrowser', async ({ request }) => {
    await endSession(context, request);
    return undefined;
  });

  bind(router, context, 'nameSession', async ({ member, params, body }) => {
    const own = await db.select().from(sessions).where(eq(sessions.member, member.id));
    const found = own.find(
      ({ tokenHash }) => tokenHash.startsWith(params.session) && params.session.length === 16,
    );
    if (!found) throw notFound();
    await db.update(sessions).set({ name: body.name }).where(eq(sessions.tokenHash, found.tokenHash));
    return undefined;
  });
}
