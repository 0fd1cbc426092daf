import { hash } from '@node-rs/argon2';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Router } from 'express';
import { ROUTES } from '#contracts';
import { limitTries, bind, Refusal } from '../http';
import { beginSession, memberColumns } from '../auth';
import { ownCollection } from '../bank';
import type { Context } from '../context';
import { collections, groupMembers, groups, members, sessions, type Queries } from '../db';
import { passwordWords, readLetter, useUpLetter, writeLetter } from './letters';
import { writeTrail } from '../trail';

/** Adds a member with the role and the groups that their invitation names. Throws a Refusal where the address has an account. */
async function joinTeam(
  context: Context,
  tx: Queries,
  { token, name, passwordHash }: { token: string; name: string; passwordHash: string },
) {
  const { email, role, groups: invitedTo } = await useUpLetter(context, tx, token, 'invitation');
  const [taken] = await tx.select().from(members).where(eq(members.email, email));
  if (taken) throw new Refusal('link-used', 'There is an account with this address already. Sign in.');
  const row = { id: context.newId(), name, email, job: '', phone: '', role };
  await tx.insert(members).values({ ...row, passwordHash, createdAt: context.now() });
  await tx.insert(collections).values(ownCollection(context.newId(), row.id));
  // Of those that are still there: a group may be gone since the letter was written.
  const there = await tx.select().from(groups).where(inArray(groups.id, invitedTo));
  const belonging = there.map((group) => ({ group: group.id, member: row.id }));
  if (belonging.length > 0) await tx.insert(groupMembers).values(belonging);
  await writeTrail(tx, context.now(), { by: row.id, act: 'member-joined', subject: name, detail: role });
  return row;
}

/** Sends a letter for a new password, if the address is a member's. */
async function sendPassword(context: Context, email: string): Promise<void> {
  const { db, post } = context;
  const written = await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(members)
      .where(and(eq(members.email, email), isNull(members.leftAt)));
    if (!row) return null;
    const sent = { purpose: 'password' as const, email, member: row.id, sentBy: null };
    await writeTrail(tx, context.now(), { by: row.id, act: 'password-asked', subject: row.name });
    return { name: row.name, ...(await writeLetter(context, tx, sent)) };
  });
  if (!written) return;
  const text = passwordWords(written.name, written.link);
  await post.send({ to: email, subject: 'A new password for Elderleaf', text, secret: true }, context.now());
}

/** What people do who hold a letter, or ask for one: nobody of these needs to be signed in. */
export function joiningRoutes(router: Router, context: Context): void {
  const { db, events } = context;
  for (const { path } of [ROUTES.readLetter, ROUTES.join, ROUTES.newPassword])
    router.post(path, limitTries());
  // Every letter asked for is counted, or somebody's letter box could be filled.
  router.post(ROUTES.askPassword.path, limitTries(false));

  bind(router, context, 'readLetter', async ({ body }) => {
    const { purpose, name, email, member } = await readLetter(context, body.token);
    if (member === null) return { purpose, name, email };
    const [who] = await db.select({ name: members.name }).from(members).where(eq(members.id, member));
    return { purpose, email, name: who?.name ?? '' };
  });

  bind(router, context, 'join', async ({ body, request, response }) => {
    const passwordHash = await hash(body.password);
    const joined = await db.transaction((tx) => joinTeam(context, tx, { ...body, passwordHash }));
    await beginSession(context, request, response, joined.id);
    await events.tellAll({ type: 'people-changed' });
    return joined;
  });

  bind(router, context, 'askPassword', ({ body }) => {
    // Not waited for: how long it takes would tell whether the address is known.
    void sendPassword(context, body.email).catch((error: unknown) =>
      context.log.error({ name: (error as Error).name }, 'an email could not be sent'),
    );
    return Promise.resolve(undefined);
  });

  bind(router, context, 'newPassword', async ({ body, request, response }) => {
    const passwordHash = await hash(body.password);
    const member = await db.transaction(async (tx) => {
      const letter = await useUpLetter(context, tx, body.token, 'password');
      const [row] = await tx
        .update(members)
        .set({ passwordHash })
        .where(and(eq(members.id, letter.member ?? ''), isNull(members.leftAt)))
        .returning(memberColumns);
      if (!row) throw new Refusal('link-used', 'The account it was for is not there any more.');
      await tx.delete(sessions).where(eq(sessions.member, row.id));
      await writeTrail(tx, context.now(), { by: row.id, act: 'password-changed', subject: row.name });
      return row;
    });
    await events.sessionsEnded(member.id);
    await beginSession(context, request, response, member.id);
    return member;
  });
}
