import { and, inArray, isNull } from 'drizzle-orm';
import type { CaseSummary, Member, NewCase } from '#contracts';
import { recordByHand } from '#core/record';
import type { Context } from '../context';
import { cases, casesGiven, drafts, members } from '../db';
import { Refusal } from '../http';
import { newDraftRow } from './beginDraft';
import { summaryOf } from './caseAccess';

/**
 * Begins a case by hand and gives it to the member and to others. Sent again it is the case it was; throws a Refusal where it
 * is given to somebody who is not of the team.
 */
export async function makeCase(context: Context, member: Member, body: NewCase): Promise<CaseSummary> {
  const { id, kind, title, number, document } = body;
  const given = [...new Set([member.id, ...body.given])];
  const now = context.now();
  const made = await context.db.transaction(async (tx) => {
    const there = await tx
      .select({ id: members.id })
      .from(members)
      .where(and(inArray(members.id, given), isNull(members.leftAt)));
    if (there.length < given.length)
      throw new Refusal(
        'not-valid',
        'One of those it is given to is not in your team any more. No case was made.',
      );
    const record = recordByHand(body.details, member.name, now.toISOString().slice(0, 10));
    const row = { id, kind, title, number: number || null, summary: '', record, openedAt: now };
    const fresh = await tx.insert(cases).values(row).onConflictDoNothing().returning({ id: cases.id });
    if (fresh.length > 0) {
      await tx.insert(casesGiven).values(given.map((one) => ({ case: id, member: one })));
      if (document) {
        const begun = { id: context.newId(), title: '', document };
        await tx.insert(drafts).values(newDraftRow(context, member.id, id, begun));
      }
    }
    return fresh.length > 0;
  });
  if (made) for (const one of given) await context.events.tell(one, { type: 'case-added', case: id });
  return summaryOf(context.db, member.id, id);
}
