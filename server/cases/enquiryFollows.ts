import { and, eq, inArray } from 'drizzle-orm';
import type { SendingState } from '#core/sending';
import { enquiries, type Queries } from '../db';

/** Where a letter is plainly not with its receiver, what they asked is still to be answered. */
const NOT_ANSWERED: readonly SendingState[] = ['refused', 'taken-back'];

/** An enquiry is answered by the letter that is sent from it, and open again where that did not go; what is awaited stays so. */
export async function enquiryFollows(
  tx: Queries,
  of: string | null,
  state: SendingState,
  now: Date,
): Promise<void> {
  if (of === null) return;
  const isOpen = NOT_ANSWERED.includes(state);
  await tx
    .update(enquiries)
    .set({ state: isOpen ? 'open' : 'answered', changedAt: now, ...(!isOpen && { putOffTo: null }) })
    .where(and(eq(enquiries.case, of), inArray(enquiries.state, isOpen ? ['answered'] : ['open'])));
}
