import type { Bank } from '#contracts';

const NAME = 'elderleaf-bank';
const addressOf = (member: string) => `/cached-bank/${encodeURIComponent(member)}`;

/** Who has come across more of a large bank than this begins the next page with what is at hand for them. */
const MOST_KEPT = 10_000;

let waiting = 0;

/** Keeps the bank in this browser once it has nothing else to do, so that the next page has it at once. */
export function keepBank(member: string, bank: Bank): void {
  cancelIdleCallback(waiting);
  waiting = requestIdleCallback(() => void keepNow(member, bank));
}

async function keepNow(member: string, bank: Bank): Promise<void> {
  try {
    const cache = await caches.open(NAME);
    if (bank.entries.length > MOST_KEPT) await cache.delete(addressOf(member));
    else await cache.put(addressOf(member), Response.json(bank));
  } catch {
    // No room, or a browser that keeps nothing: the next page waits for the server.
  }
}

/** The bank as this browser kept it for a member; null when it has none. */
export async function keptBank(member: string): Promise<Bank | null> {
  try {
    const kept = await caches.match(addressOf(member), { cacheName: NAME });
    const bank = kept && ((await kept.json()) as Partial<Bank>);
    // One kept by an earlier Elderleaf may lack what this one needs.
    return bank?.away && bank.counts ? (bank as Bank) : null;
  } catch {
    return null;
  }
}

/** Takes everything kept away: at signing out, nothing of the bank stays on a shared computer. */
export async function forgetBanks(): Promise<void> {
  cancelIdleCallback(waiting);
  await caches.delete(NAME).catch(() => false);
}
