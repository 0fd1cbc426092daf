import { and, asc, count, eq, isNull, ne, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Person } from '#contracts';
import { memberColumns } from '../auth';
import { leavingNoneUnkept } from '../bank';
import type { Context } from '../context';
import { type Queries, grants, letters, members, sessions } from '../db';
import { bind, notFound, Refusal } from '../http';
import { handOver } from './handOver';
import { invitationsOf } from './invitationRoutes';
import { passwordWords, sendLetter, writeLetter } from './letters';
import { writeTrail } from '../trail';

type MemberRow = typeof members.$inferSelect;

const personColumns = {
  ...memberColumns,
  createdAt: members.createdAt,
  leftAt: members.leftAt,
  keeps: sql<number>`(select count(*)::int from ${grants} where ${grants.member} = ${members.id} and ${grants.right} = 'keep')`,
};

async function peopleOf(db: Queries, only?: string): Promise<Person[]> {
  const rows = await db
    .select(personColumns)
    .from(members)
    .where(only === undefined ? undefined : eq(members.id, only))
    .orderBy(asc(members.createdAt), asc(members.id));
  return rows.map(({ createdAt, leftAt, ...row }) => ({
    ...row,
    joinedAt: createdAt.toISOString(),
    leftAt: leftAt?.toISOString() ?? null,
  }));
}

async function personOf(db: Queries, id: string): Promise<Person> {
  const [person] = await peopleOf(db, id);
  if (!person) throw notFound();
  return person;
}

/** The member, held with all others for this transaction: two owners who step down at once must not both do so. */
async function held(tx: Queries, id: string): Promise<MemberRow> {
  await tx.execute(sql`lock table ${members} in share row exclusive mode`);
  const [row] = await tx.select().from(members).where(eq(members.id, id));
  if (!row) throw notFound();
  return row;
}

/** Refuses to let the team be without an owner. */
async function mustLeaveAnOwner(tx: Queries, without: string): Promise<void> {
  const [others] = await tx
    .select({ count: count() })
    .from(members)
    .where(and(eq(members.role, 'owner'), isNull(members.leftAt), ne(members.id, without)));
  if (others!.count === 0)
    throw new Refusal(
      'not-valid',
      'A team needs an owner. Make someone else one first; nothing was changed.',
    );
}

/** Writes down a new password letter for a member, as an owner asks. Gives who it is for, and its link. */
async function passwordLetter(context: Context, tx: Queries, by: string, member: string) {
  const [row] = await tx
    .select()
    .from(members)
    .where(and(eq(members.id, member), isNull(members.leftAt)));
  if (!row) throw notFound();
  const sent = { purpose: 'password' as const, email: row.email, member: row.id, sentBy: by };
  await writeTrail(tx, context.now(), { by, act: 'password-letter-sent', subject: row.name });
  return { ...row, ...(await writeLetter(context, tx, sent)) };
}

/** Hands all that one member keeps alone to another, and writes it in the trail. Gives how many collections. */
async function handOverAll(context: Context, tx: Queries, by: string, given: { from: string; to: string }) {
  const from = await held(tx, given.from);
  const count = await handOver(tx, from.id, given.to);
  const to = await personOf(tx, given.to);
  const done = { by, act: 'handed-over' as const, subject: from.name, detail: `${count} to ${to.name}` };
  if (count > 0) await writeTrail(tx, context.now(), done);
  return count;
}

/** Ends a membership: what the member kept goes to another, their sessions and letters end. */
async function endMembership(
  context: Context,
  tx: Queries,
  by: string,
  { member, handTo }: { member: string; handTo: string | null },
): Promise<void> {
  const row = await held(tx, member);
  if (row.leftAt) return;
  if (row.role === 'owner') await mustLeaveAnOwner(tx, row.id);
  await leavingNoneUnkept(tx, async () => {
    if (handTo !== null) await handOver(tx, row.id, handTo);
    await tx.update(members).set({ leftAt: context.now() }).where(eq(members.id, row.id));
  });
  await tx.delete(sessions).where(eq(sessions.member, row.id));
  await tx.delete(letters).where(eq(letters.member, row.id));
  await writeTrail(tx, context.now(), { by, act: 'member-left', subject: row.name });
}

/** People as owners see them: their roles, leaving, handing over. */
export function peopleRoutes(router: Router, context: Context): void {
  const { db, events, post } = context;

  bind(router, context, 'people', async () => ({
    members: await peopleOf(db),
    invitations: await invitationsOf(db, context.now()),
    byEmail: post.byEmail,
  }));

  bind(router, context, 'changeRole', async ({ member, params, body }) => {
    await db.transaction(async (tx) => {
      const row = await held(tx, params.member);
      if (row.role === body.role) return;
      if (body.role === 'member') await mustLeaveAnOwner(tx, row.id);
      await tx.update(members).set(body).where(eq(members.id, row.id));
      const done = { by: member.id, act: 'role-changed' as const, subject: row.name, detail: body.role };
      await writeTrail(tx, context.now(), done);
    });
    await events.tellAll({ type: 'people-changed' });
    return personOf(db, params.member);
  });

  bind(router, context, 'leave', async ({ member, params, body }) => {
    const leaving = { member: params.member, handTo: body.handTo };
    await db.transaction((tx) => endMembership(context, tx, member.id, leaving));
    await events.sessionsEnded(params.member);
    await events.tellAll({ type: 'people-changed' });
    await events.reachChanged();
    return undefined;
  });

  bind(router, context, 'comeBack', async ({ member, params }) => {
    await db.transaction(async (tx) => {
      const row = await held(tx, params.member);
      await tx.update(members).set({ leftAt: null }).where(eq(members.id, row.id));
      await writeTrail(tx, context.now(), { by: member.id, act: 'member-returned', subject: row.name });
    });
    await events.tellAll({ type: 'people-changed' });
    return personOf(db, params.member);
  });

  bind(router, context, 'handOver', async ({ member, params, body }) => {
    const given = { from: params.member, to: body.to };
    const collections = await db.transaction((tx) => handOverAll(context, tx, member.id, given));
    await events.reachChanged();
    return { collections };
  });

  bind(router, context, 'sendPassword', async ({ member, params }) => {
    const { name, email, link } = await db.transaction((tx) =>
      passwordLetter(context, tx, member.id, params.member),
    );
    const text = passwordWords(name, link);
    const letter = { to: email, subject: 'A new password for Elderleaf', text, secret: true };
    await sendLetter(context, letter, 'Their password is as it was.');
    return undefined;
  });

  bind(router, context, 'postRoom', () => Promise.resolve(post.waiting()));

  bind(router, context, 'readPost', async ({ member, params }) => {
    const letter = post.take(params.letter);
    if (!letter) throw notFound();
    await writeTrail(db, context.now(), { by: member.id, act: 'letter-read', subject: letter.to });
    return { text: letter.text };
  });
}
