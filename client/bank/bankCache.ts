import type { Bank } from '#contracts';
import { dropAnswer, keepAnswer, keptAnswer } from '#client/atHand';

const PATH = '/api/bank';

/** Of who has come across more of a large bank than this, what was kept before stays: the next page begins with that. */
const MOST_KEPT = 10_000;

let waiting = 0;

/** Keeps the bank in this browser once it has nothing else to do, so that the next page has it at once, the server reached or not. */
export function keepBank(bank: Bank): void {
  cancelIdleCallback(waiting);
  waiting = requestIdleCallback(() => {
    if (bank.entries.length <= MOST_KEPT) void keepAnswer(PATH, 'team', bank);
  });
}

/** The bank as this browser kept it for whoever is signed in; null when it has none. */
export async function keptBank(): Promise<Bank | null> {
  const bank = (await keptAnswer(PATH)) as Partial<Bank> | undefined;
  // One kept by an earlier Elderleaf may lack what this one needs.
  return bank?.away && bank.counts ? (bank as Bank) : null;
}

/** Takes the bank away that this browser kept. */
export async function forgetBank(): Promise<void> {
  cancelIdleCallback(waiting);
  await dropAnswer(PATH);
}
