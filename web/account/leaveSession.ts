import { forgetAnswers } from '#client/atHand';
import { forgetBank } from '#client/bank';
import { copiesOf, dropUnsentText } from '#client/drafts';
import { dropUses } from '#client/offers';
import { ownTab } from '#client/kept';
import { dropAllWaiting } from '#client/waiting';
import { queryClient } from '../api';

/** Goes to the first page, a member's session having ended; nothing that was kept for them stays on a shared computer. */
export async function leaveSession(member: string): Promise<void> {
  await forgetBank();
  await forgetAnswers();
  await dropAllWaiting(member);
  for (const draft of copiesOf(member)) dropUnsentText(member, draft);
  dropUses(member);
  ownTab(null);
  queryClient.clear();
  window.location.assign('/sign-in');
}
