import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import type { Bank, Entry } from '#contracts';
import { includedIn } from '#core/fill';
import {
  keepBank,
  keptBank,
  askedWith,
  withBank,
  withCollection,
  withEntries,
  withoutEntry,
} from '#client/bank';
import { call, isProblem, Unreachable } from '#client/api';
import { KEYS, queryClient } from './queries';

/** Live events tell what changes; without a word from them it is asked for anew after this long all the same. */
const FRESH_MS = 600_000;

const bankNow = () => queryClient.getQueryData<Bank>(KEYS.bank);

/** The bank with what has changed in it; the very same where nothing has. */
async function renewed(had: Bank, signal: AbortSignal): Promise<Bank> {
  const body = askedWith(had);
  const next = await call('bankChanges', { body, signal });
  // What was kept or came to hand on this page while the answer was on its way is in the bank as it stands now.
  return withBank(bankNow() ?? had, had, next);
}

/** The bank with what has changed in it; as it is where the server cannot be reached. */
const renewedIfThere = (had: Bank, signal: AbortSignal): Promise<Bank> =>
  renewed(had, signal).catch((error: unknown) => {
    if (error instanceof Unreachable) return bankNow() ?? had;
    throw error;
  });

/** Shows another bank on this page, and keeps it for the next. */
function put(change: (bank: Bank) => Bank): void {
  queryClient.setQueryData<Bank>(KEYS.bank, (bank) => bank && change(bank));
  const bank = bankNow();
  if (bank) keepBank(bank);
}

/** The bank as this browser kept it, shown until the server has answered; undefined when it has none. */
async function openWithKept(): Promise<Bank | undefined> {
  const kept = await keptBank();
  if (!kept) return undefined;
  queryClient.setQueryData<Bank>(KEYS.bank, kept);
  return kept;
}

export const useBank = () =>
  useQuery({
    queryKey: KEYS.bank,
    queryFn: async ({ signal }) => {
      const had = bankNow() ?? (await openWithKept());
      const bank = had ? await renewedIfThere(had, signal) : await call('bank', { signal });
      if (bank !== had) keepBank(bank);
      return bank;
    },
    staleTime: FRESH_MS,
  });

/** Collections that are being asked for, each with whether it changed once more meanwhile. */
const underWay = new Map<string, { done: Promise<void>; again: boolean }>();

async function askCollection(id: string): Promise<void> {
  const bank = bankNow();
  const collection = bank?.collections.find((one) => one.id === id);
  if (!bank || !collection) return;
  const had = bank.away.includes(id) ? null : collection.changes;
  const next = await call('collectionChanges', { params: { collection: id }, body: { had } });
  put((now) => withCollection(now, id, next, had === null));
}

/**
 * Asks for what this page does not have of a collection, all of it where it was away. One question at a time for each: what
 * changes meanwhile is asked for after it. What cannot be had is asked for with the rest of the bank.
 */
export function renewCollection(id: string): Promise<void> {
  const asking = underWay.get(id);
  if (asking) {
    asking.again = true;
    return asking.done;
  }
  const work = { again: false, done: Promise.resolve() };
  const run = async (): Promise<void> => {
    do {
      work.again = false;
      await askCollection(id);
    } while (work.again);
  };
  work.done = run()
    .catch(() => queryClient.invalidateQueries({ queryKey: KEYS.bank }))
    .finally(() => underWay.delete(id));
  underWay.set(id, work);
  return work.done;
}

/** An entry of a collection was saved elsewhere, or several were moved, deleted or brought back. */
export async function hearOfChange(collection: string, entry?: string): Promise<void> {
  const bank = bankNow();
  if (!bank) return;
  if (!bank.collections.some(({ id }) => id === collection))
    return queryClient.invalidateQueries({ queryKey: KEYS.bank });
  if (!bank.away.includes(collection)) return renewCollection(collection);
  // Of a collection that is away, only what this page has by itself is of interest.
  const loose = bank.entries.filter((one) => one.collection === collection).map(({ id }) => id);
  await Promise.all(loose.filter((id) => !entry || id === entry).map(askEntry));
}

/** Asks for one entry; gone, this page lets go of it. */
async function askEntry(id: string): Promise<void> {
  try {
    await takeWhole(await call('entry', { params: { entry: id } }));
  } catch (error) {
    if (isProblem(error, 'not-found')) put((bank) => withoutEntry(bank, id));
  }
}

/** Puts entries into the bank of this page, by themselves where their collection is away. */
export function takeEntries(entries: readonly Entry[]): void {
  const known = new Map(bankNow()?.entries.map((entry) => [entry.id, entry]));
  const news = entries.filter(({ id, revision, collection }) => {
    const had = known.get(id);
    // Moved, it is at the same revision in another place.
    return !had || had.revision < revision || had.collection !== collection;
  });
  if (news.length > 0) put((bank) => withEntries(bank, news));
}

/** Puts an entry into the bank of this page with all that stands within it, so that it can be placed. */
export async function takeWhole(entry: Entry): Promise<void> {
  takeEntries([entry]);
  const known = new Set(bankNow()?.entries.map(({ id }) => id));
  const within = new Set(entry.content.wordings.flatMap(includedIn));
  await Promise.all([...within].filter((id) => !known.has(id)).map(askEntry));
}

/** An entry as this page has it at this moment, even before it is drawn. */
export const entryNow = (id: string): Entry | undefined =>
  bankNow()?.entries.find((entry) => entry.id === id);

/** Puts an entry just kept into the bank of this page at once, so that its cue fires with the next key. */
export function takeKept(entry: Entry): void {
  put((bank) => ({ ...bank, entries: [...bank.entries.filter(({ id }) => id !== entry.id), entry] }));
  void queryClient.invalidateQueries({ queryKey: KEYS.revisions(entry.id) });
}

/** Takes an entry out of the bank of this page that the server never had. */
export function dropUnsent(id: string): void {
  put((bank) => ({ ...bank, entries: bank.entries.filter((entry) => entry.id !== id) }));
}

/**
 * Has the entries of some collections brought to hand; false while any is away. Of a bank that is not large all are at hand
 * from the start.
 */
export function useAtHand(collections: readonly string[]): boolean {
  const { data } = useBank();
  const away = useMemo(() => new Set(data?.away), [data?.away]);
  const wanted = collections.filter((id) => away.has(id));
  const key = wanted.join(' ');
  useEffect(() => {
    for (const id of key === '' ? [] : key.split(' ')) void renewCollection(id);
  }, [key]);
  return data !== undefined && wanted.length === 0;
}

/** Has some entries by themselves where the bank has collections that are away; false while any is asked for. */
export function useEntriesAtHand(ids: readonly string[]): boolean {
  const { data } = useBank();
  const known = useMemo(() => new Set(data?.entries.map(({ id }) => id)), [data?.entries]);
  const missing = data && data.away.length > 0 ? ids.filter((id) => !known.has(id)).sort() : [];
  const asked = useQuery({
    queryKey: [...KEYS.loose, ...missing],
    queryFn: async () => {
      await Promise.all(missing.map(askEntry));
      return null;
    },
    enabled: missing.length > 0,
  });
  return data !== undefined && (missing.length === 0 || !asked.isPending);
}
