import { eq } from 'drizzle-orm';
import type { Case, Correction, Member } from '#contracts';
import { isSame } from '#core/difference';
import { correctedRecord, valueInWords, writtenDetail } from '#core/record';
import type { Context } from '../context';
import { cases } from '../db/schema';
import { Refusal } from '../http/refusal';
import { draftsOfCase, givenCase, givenTo, toCase } from './caseAccess';

/**
 * Corrects a detail of a case's record by hand, for all it is given to. Throws a Refusal where somebody else corrected it since it
 * was looked at: what they wrote stands.
 */
export async function correctCase(
  context: Context,
  member: Member,
  id: string,
  { path, had, value }: Correction,
): Promise<Case> {
  const { db } = context;
  await givenCase(db, member.id, id);
  await db.transaction(async (tx) => {
    const [row] = await tx.select({ record: cases.record }).from(cases).where(eq(cases.id, id)).for('update');
    const now = writtenDetail(row!.record, path)?.value ?? null;
    // Sent again, since the answer was lost, it is done already.
    if (isSame(now, value)) return;
    if (!isSame(now, had)) {
      const says = now ? `It says “${valueInWords(now, 'en-GB')}” now` : 'It was taken away';
      throw new Refusal('moved-on', `Somebody corrected this meanwhile. ${says}; nothing was changed.`);
    }
    const on = context.now().toISOString().slice(0, 10);
    const record = correctedRecord(row!.record, { path, value }, { by: `Written by ${member.name}`, on });
    await tx.update(cases).set({ record }).where(eq(cases.id, id));
  });
  const given = await givenTo(db, id);
  for (const one of given) await context.events.tell(one, { type: 'case-changed', case: id });
  return toCase(await givenCase(db, member.id, id), await draftsOfCase(db, member.id, id), given);
}
