import { and, asc, eq, gt } from 'drizzle-orm';
import type { Router } from 'express';
import type { Invitation } from '#contracts';
import type { Context } from '../context';
import { type Queries, letters, members } from '../db';
import { bind, notFound, Refusal } from '../http';
import { invitationWords, sendLetter, writeLetter } from './letters';
import { writeTrail } from '../trail';

/** The invitations under way, oldest first; or one of them. */
export async function invitationsOf(db: Queries, now: Date, only?: string): Promise<Invitation[]> {
  const rows = await db
    .select({ letter: letters, sentBy: members.name })
    .from(letters)
    .leftJoin(members, eq(members.id, letters.sentBy))
    .where(
      and(
        eq(letters.purpose, 'invitation'),
        gt(letters.endsAt, now),
        only === undefined ? undefined : eq(letters.id, only),
      ),
    )
    .orderBy(asc(letters.sentAt));
  return rows.map(({ letter: { id, name, email, role, groups, sentAt, endsAt }, sentBy }) => ({
    id,
    name,
    email,
    role,
    groups,
    sentBy,
    sentAt: sentAt.toISOString(),
    endsAt: endsAt.toISOString(),
  }));
}

/** Invitations, as owners send and withdraw them. */
export function invitationRoutes(router: Router, context: Context): void {
  const { db } = context;

  const sendInvitation = async (
    by: { id: string; name: string },
    given: Pick<Invitation, 'name' | 'email' | 'role' | 'groups'>,
  ): Promise<Invitation> => {
    const { name, email, role, groups } = given;
    const { row, link } = await db.transaction(async (tx) => {
      const [known] = await tx.select().from(members).where(eq(members.email, email));
      if (known)
        throw new Refusal(
          'not-valid',
          known.leftAt
            ? `${known.name} was of the team with this address. Bring them back instead.`
            : `${known.name} has an account with this address already.`,
          { faults: [{ place: 'email', message: 'This address has an account already' }] },
        );
      const sent = { purpose: 'invitation' as const, name, email, role, groups, sentBy: by.id };
      await writeTrail(tx, context.now(), { by: by.id, act: 'member-invited', subject: name, detail: role });
      return writeLetter(context, tx, sent);
    });
    const text = invitationWords(name, by.name, link);
    const letter = { to: email, subject: `${by.name} invites you to Elderleaf`, text, secret: false };
    await sendLetter(context, letter, `${name} is invited.`);
    return (await invitationsOf(db, context.now(), row.id))[0]!;
  };

  bind(router, context, 'invite', ({ member, body }) => sendInvitation(member, body));

  bind(router, context, 'inviteAgain', async ({ member, params }) => {
    const [known] = await invitationsOf(db, context.now(), params.invitation);
    if (!known) throw notFound();
    return sendInvitation(member, known);
  });

  bind(router, context, 'withdrawInvitation', async ({ member, params }) => {
    await db.transaction(async (tx) => {
      const [row] = await tx
        .delete(letters)
        .where(and(eq(letters.id, params.invitation), eq(letters.purpose, 'invitation')))
        .returning();
      if (!row) throw notFound();
      const done = { by: member.id, act: 'invitation-withdrawn' as const, subject: row.name };
      await writeTrail(tx, context.now(), done);
    });
    return undefined;
  });
}
