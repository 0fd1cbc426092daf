import { hash, verify } from '@node-rs/argon2';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Router } from 'express';
import { ROUTES } from '#contracts';
import type { Context } from '../context';
import { collections, members } from '../db';
import { bind, limitTries, notFound, Refusal } from '../http';
import { ownCollection } from '../bank';
import { GENERAL_ENGLISH, insertGlossary } from '../termLists';
import { beginSession, clearCookie, endSession, memberColumns } from '../auth';

/** A hash that no password has: checking against it makes an unknown e-mail take as long as a wrong password. */
const NOBODY =
  '$argon2id$v=19$m=19456,t=2,p=1$AAAAAAAAAAAAAAAAAAAAAA$AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA';

async function makeOwner(context: Context, owner: { name: string; email: string; password: string }) {
  const passwordHash = await hash(owner.password);
  const id = context.newId();
  await context.db.transaction(async (tx) => {
    // Held to the transaction's end, so that two first visitors cannot both become the owner.
    await tx.execute(sql`lock table ${members} in exclusive mode`);
    const [someone] = await tx.select({ id: members.id }).from(members).limit(1);
    if (someone) throw new Refusal('already-begun', 'Sign in instead, or ask the owner to invite you.');
    const { name, email } = owner;
    await tx
      .insert(members)
      .values({ id, name, email, job: '', role: 'owner', passwordHash, createdAt: context.now() });
    await tx.insert(collections).values(ownCollection(context.newId(), id));
    await insertGlossary(context, tx, { ...GENERAL_ENGLISH, madeBy: id }, []);
  });
  return { id, name: owner.name, role: 'owner', job: '', email: owner.email, phone: '' } as const;
}

async function checkPassword(context: Context, email: string, password: string) {
  await context.pause(context.tries.slowedBy(email));
  const [found] = await context.db
    .select({ ...memberColumns, passwordHash: members.passwordHash })
    .from(members)
    .where(and(eq(members.email, email), isNull(members.leftAt)));
  const right = await verify(found?.passwordHash ?? NOBODY, password).catch(() => false);
  if (!found?.passwordHash || !right) {
    context.tries.failed(email);
    throw new Refusal('wrong-password', 'Check the email and the password, and try again.');
  }
  context.tries.succeeded(email);
  const { passwordHash: _, ...member } = found;
  return member;
}

/** Beginning, signing in and out. */
export function authRoutes(router: Router, context: Context): void {
  const limit = limitTries();
  router.post(ROUTES.signIn.path, limit);
  router.post(ROUTES.makeOwner.path, limit);

  bind(router, context, 'beginning', async () => {
    const all = await context.db
      .select(memberColumns)
      .from(members)
      .where(isNull(members.leftAt))
      .orderBy(asc(members.createdAt), asc(members.id));
    return { ownerNeeded: all.length === 0, demoMembers: context.settings.demo ? all : null };
  });

  bind(router, context, 'makeOwner', async ({ body, request, response }) => {
    const member = await makeOwner(context, body);
    await beginSession(context, request, response, member.id);
    return member;
  });

  bind(router, context, 'signIn', async ({ body, request, response }) => {
    const member = await checkPassword(context, body.email, body.password);
    await beginSession(context, request, response, member.id);
    return member;
  });

  bind(router, context, 'signInDemo', async ({ body, request, response }) => {
    if (!context.settings.demo) throw notFound();
    const [member] = await context.db
      .select(memberColumns)
      .from(members)
      .where(and(eq(members.id, body.member), isNull(members.leftAt)));
    if (!member) throw notFound();
    await beginSession(context, request, response, member.id);
    return member;
  });

  bind(router, context, 'session', async ({ member }) => Promise.resolve(member));

  bind(router, context, 'signOut', async ({ request, response }) => {
    await endSession(context, request);
    clearCookie(context, response);
    return undefined;
  });
}
