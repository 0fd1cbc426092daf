import { forgetBanks } from '#client/bank';
import { ownTab } from '#client/kept';
import { queryClient } from '../api';

/** Goes to the first page, a session having ended; nothing of the bank stays on a shared computer. */
export async function leaveSession(): Promise<void> {
  await forgetBanks();
  ownTab(null);
  queryClient.clear();
  window.location.assign('/sign-in');
}
