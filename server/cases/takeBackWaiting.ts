import { and, eq, inArray } from 'drizzle-orm';
import { sendings, type Queries } from '../db';
import { Refusal } from '../http';
import { enquiryFollows } from './enquiryFollows';

/**
 * Takes a letter back that waits to go from a draft which is opened again. Throws a Refusal where it is with the mail server just now: then
 * nobody can say yet whether it goes.
 */
export async function takeBackWaiting(tx: Queries, draft: string, now: Date): Promise<void> {
  const under = await tx
    .select({ case: sendings.case, state: sendings.state })
    .from(sendings)
    .where(and(eq(sendings.draft, draft), inArray(sendings.state, ['waiting', 'going'])))
    .for('update');
  if (under.some(({ state }) => state === 'going'))
    throw new Refusal('not-allowed', 'It is being sent at this moment. Check again in a minute.');
  if (under.length === 0) return;
  await enquiryFollows(tx, under[0]!.case, 'taken-back', now);
  await tx
    .update(sendings)
    .set({ state: 'taken-back', stateAt: now })
    .where(and(eq(sendings.draft, draft), eq(sendings.state, 'waiting')));
}
