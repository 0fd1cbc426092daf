import { call, callsGoTo, inWords, isProblem } from '#client/api';
import { askedWith, withBank } from '#client/bank';
import type { Bank, Entry } from '#contracts';
import { isSame } from '#core/difference';
import { packCues } from './packCues';
import { allEntries, forgetAll, keepBank, keepPart, part, type BankHead } from './store';
import { joined, setJoined } from './settings';
import { tellPages } from './tellPages';
import { tellUses } from './uses';

let trouble: string | null = null;
/** What hindered the last renewal; null for nothing. */
export const lastTrouble = (): string | null => trouble;

const headOf = ({ collections, counts, away, entries }: Bank): BankHead => {
  const isAway = new Set(away);
  const loose = entries.filter(({ collection }) => isAway.has(collection)).map(({ id }) => id);
  const ownWays: Record<string, string[]> = {};
  for (const { collection, content } of entries)
    for (const { onPage } of content.wordings) {
      const known = ownWays[collection] ?? [];
      if (onPage !== undefined && !known.includes(onPage)) ownWays[collection] = [...known, onPage];
    }
  return { collections, counts, away, loose, ownWays, size: entries.length };
};

/** What changed, as the server says it; null where this browser has nothing yet. */
async function askedFor(head: BankHead | undefined): Promise<Bank> {
  if (!head) return call('bank');
  const { had } = askedWith({ ...head, entries: [], gone: [] });
  return call('bankChanges', { body: { had, loose: head.loose } });
}

/** Whether an answer says nothing that is not known: then nothing is read and nothing written. */
const isNoNews = (head: BankHead, next: Bank): boolean =>
  next.gone.length === 0 &&
  next.entries.length === head.loose.length &&
  next.entries.every(({ id }) => head.loose.includes(id)) &&
  isSame([next.collections, next.away], [head.collections, head.away]);

async function renewOnce(): Promise<void> {
  const to = await joined();
  if (!to) return;
  callsGoTo(to);
  await tellUses();
  const [head, before] = [await part('head'), await part('beginning')];
  const [beginning, next] = await Promise.all([call('companion'), askedFor(head)]);
  // It was left meanwhile, or joined to another one: what comes of the one before is nobody's here.
  if ((await joined())?.token !== to.token) return;
  const isSameReach = isSame(before, beginning);
  if (head && isSameReach && isNoNews(head, next)) return keepPart('renewedAt', Date.now());
  const entries = head ? await allEntries() : [];
  const had: Bank = { ...(head ?? { collections: [], counts: {}, away: [] }), entries, gone: [] };
  const bank = head ? withBank(had, had, next) : next;
  const { cues, patterns } = packCues(bank, beginning, crypto.randomUUID());
  const known = new Map(entries.map((entry) => [entry.id, entry]));
  const stands = new Set(bank.entries.map(({ id }) => id));
  const came = bank.entries.filter((entry) => known.get(entry.id) !== entry);
  const gone = entries.filter(({ id }) => !stands.has(id)).map(({ id }) => id);
  const parts = { head: headOf(bank), print: cues.print, cues, patterns, beginning, renewedAt: Date.now() };
  await keepBank({ came, gone }, parts);
  await tellPages();
}

/** This browser is not joined any more: all that it has of the bank goes, and pages are told. */
export async function endJoining(): Promise<void> {
  await setJoined(null);
  await forgetAll();
  await tellPages();
}

let renewing: Promise<void> | null = null;

/** Brings the bank of this browser up to date: what changed alone is asked for. One renewal at a time; whoever asks meanwhile waits for it. */
export function renew(): Promise<void> {
  renewing ??= renewOnce()
    .then(
      () => void (trouble = null),
      async (error: unknown) => {
        trouble = inWords(error);
        // Ended on the account: gone at once.
        if (isProblem(error, 'not-signed-in')) {
          await endJoining();
          trouble = 'This browser was signed out on the account. Join it again to go on.';
        }
      },
    )
    .finally(() => (renewing = null));
  return renewing;
}

/** An entry of a collection that is away, found by words, is kept by itself so that it can be placed. */
export const keepLoose = async (entry: Entry): Promise<void> => {
  const head = await part('head');
  if (!head || head.loose.includes(entry.id) || !head.away.includes(entry.collection)) return;
  const loose = [...head.loose, entry.id];
  const [cues, patterns] = [await part('cues'), await part('patterns')];
  const [beginning, renewedAt] = [await part('beginning'), await part('renewedAt')];
  if (!cues || !patterns || !beginning || !renewedAt) return;
  await keepBank(
    { came: [entry], gone: [] },
    { head: { ...head, loose }, print: cues.print, cues, patterns, beginning, renewedAt },
  );
};
