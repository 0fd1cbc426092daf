import { and, desc, eq, inArray } from 'drizzle-orm';
import type { Router } from 'express';
import { statesBefore, afterEvent } from '#core/sending';
import type { Context } from '../context';
import { sendings, type Queries } from '../db';
import { enquiryFollows, ownDraft } from '../cases';
import { bind, notFound, Refusal } from '../http';
import { tellOfSending } from './deliverDue';
import { deliverAfter, sendDraft, toSending } from './sendDraft';

/** So many letters are listed. */
const MOST_TOLD = 500;

/** A letter of the member's own; to others it does not exist. */
async function ownSending(db: Queries, member: string, id: string) {
  const [row] = await db
    .select()
    .from(sendings)
    .where(and(eq(sendings.id, id), eq(sendings.member, member)));
  if (!row) throw notFound();
  return row;
}

/** Letters on their way out: sent, taken back, decided about, read as they go. */
export function sendingRoutes(router: Router, context: Context): void {
  const { db, now } = context;

  bind(router, context, 'sendDraft', ({ member, params, version, body }) =>
    sendDraft(context, member, params.draft, version, body),
  );

  bind(router, context, 'draftSendings', async ({ member, params }) => {
    const { id } = await ownDraft(db, member.id, params.draft);
    const rows = await db
      .select()
      .from(sendings)
      .where(eq(sendings.draft, id))
      .orderBy(desc(sendings.askedAt), desc(sendings.id));
    return rows.map(toSending);
  });

  bind(router, context, 'sendings', async ({ member }) => {
    const rows = await db
      .select()
      .from(sendings)
      .where(eq(sendings.member, member.id))
      .orderBy(desc(sendings.askedAt), desc(sendings.id))
      .limit(MOST_TOLD);
    return rows.map(toSending);
  });

  bind(router, context, 'changeSending', async ({ member, params, body }) => {
    const before = await ownSending(db, member.id, params.sending);
    const event = body.do;
    const [changed] = await db
      .update(sendings)
      .set({
        state: afterEvent(before.state, event) ?? before.state,
        stateAt: now(),
        ...(event === 'sent-again' && { goesAt: now(), reason: '' }),
      })
      .where(
        and(
          eq(sendings.id, before.id),
          eq(sendings.state, before.state),
          inArray(sendings.state, statesBefore(event)),
        ),
      )
      .returning();
    if (!changed)
      throw new Refusal('moved-on', 'The letter is elsewhere on its way by now. Look at it again.');
    await enquiryFollows(db, changed.case, changed.state, now());
    await tellOfSending(context, member.id);
    await context.events.tellAll({ type: 'queue-changed' });
    if (event === 'sent-again') deliverAfter(context, 0);
    return toSending(changed);
  });

  bind(router, context, 'sentMessage', async ({ member, params, response }) => {
    const { message, subject } = await ownSending(db, member.id, params.sending);
    response
      .attachment(
        `${
          subject
            .replace(/[^\p{L}\p{N} _-]/gu, '')
            .trim()
            .slice(0, 80) || 'letter'
        }.eml`,
      )
      .set({ 'Content-Type': 'message/rfc822', 'Content-Security-Policy': "default-src 'none'; sandbox" })
      .end(Buffer.from(message, 'latin1'));
    // Answered already, as the route's `stream` says.
    return undefined;
  });
}
