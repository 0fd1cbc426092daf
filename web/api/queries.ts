import { QueryClient, queryOptions, useQuery } from '@tanstack/react-query';
import type { Bank, Entry, Member } from '#contracts';
import { keepBank, keptBank } from './bankCache';
import { call, isProblem, Unreachable } from './client';

/** What the server was asked and answered, by key; open pages share it and live events refresh it. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 30_000,
      retry: (count, error) => error instanceof Unreachable && count < 3,
      refetchOnWindowFocus: false,
    },
  },
});

/** Keys of the query cache, in one place, so that what is invalidated is what was asked. */
export const KEYS = {
  session: ['session'],
  beginning: ['beginning'],
  cases: ['cases'],
  bank: ['bank'],
  glossaries: ['glossaries'],
  ownUses: ['own-uses'],
  preferences: ['preferences'],
  team: ['team'],
  people: ['people'],
  wastebasket: ['wastebasket'],
  teamSettings: ['team-settings'],
  sessions: ['sessions'],
  post: ['post'],
  trail: ['trail'],
  sharing: ['sharing'],
  proposals: ['proposals'],
  case: (id: string) => ['case', id],
  earlier: (id: string) => ['earlier', id],
  notes: ['notes'],
  present: (entry: string) => ['present', entry],
  collectionRevisions: (id: string, version: number) => ['collection-revisions', id, version],
  revisions: (entry: string) => ['revisions', entry],
  revision: (entry: string, revision: number) => ['revisions', entry, revision],
} as const;

/** Who is signed in; null when nobody is. */
export const useSession = () =>
  useQuery({
    queryKey: KEYS.session,
    queryFn: () =>
      call('session').catch((error: unknown) => {
        if (isProblem(error, 'not-signed-in')) return null;
        throw error;
      }),
    staleTime: Infinity,
  });

export const useBeginning = () => useQuery({ queryKey: KEYS.beginning, queryFn: () => call('beginning') });

export const useCases = () => useQuery({ queryKey: KEYS.cases, queryFn: () => call('cases') });

export const useCase = (id: string | null) =>
  useQuery({
    queryKey: KEYS.case(id ?? ''),
    queryFn: () => call('case', { params: { case: id! } }),
    enabled: id !== null,
  });

/** What one's own earlier texts about the same person answered. */
export const useEarlierUses = (id: string) =>
  useQuery({
    queryKey: KEYS.earlier(id),
    queryFn: () => call('earlierUses', { params: { case: id } }),
  });

/** The bank with what has changed in it; the very same where nothing has. */
async function renewed(had: Bank, signal: AbortSignal): Promise<Bank> {
  const body = { had: Object.fromEntries(had.collections.map(({ id, changes }) => [id, changes])) };
  const { collections, entries, gone } = await call('bankChanges', { body, signal });
  if (entries.length === 0 && gone.length === 0 && isSame(collections, had.collections)) return had;
  const visible = new Set(collections.map(({ id }) => id));
  // What was kept from this page while the answer was on its way is in the bank as it stands now.
  const now = queryClient.getQueryData<Bank>(KEYS.bank) ?? had;
  const byId = new Map(now.entries.map((entry) => [entry.id, entry]));
  // Moved, it comes with what its new collection has; only where it still stands where it left does it go.
  for (const { entry, collection } of gone)
    if (byId.get(entry)?.collection === collection) byId.delete(entry);
  for (const entry of entries)
    if ((byId.get(entry.id)?.revision ?? 0) <= entry.revision) byId.set(entry.id, entry);
  const seen = [...byId.values()].filter(({ collection }) => visible.has(collection));
  return { collections, entries: seen, gone: [] };
}

const isSame = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

export const useBank = () =>
  useQuery({
    queryKey: KEYS.bank,
    queryFn: async ({ signal }) => {
      const had = queryClient.getQueryData<Bank>(KEYS.bank);
      const bank = had ? await renewed(had, signal) : await call('bank', { signal });
      const member = queryClient.getQueryData<Member | null>(KEYS.session)?.id;
      if (member && bank !== had) keepBank(member, bank);
      return bank;
    },
  });

/** Opens a page with the bank as this browser kept it, until the server has answered. */
export async function openWithKeptBank(member: string): Promise<void> {
  const kept = await keptBank(member);
  if (!kept || queryClient.getQueryData(KEYS.bank)) return;
  // From long ago, so that it is asked for again all the same.
  queryClient.setQueryData<Bank>(KEYS.bank, kept, { updatedAt: 1 });
}

export const useGlossaries = () => useQuery({ queryKey: KEYS.glossaries, queryFn: () => call('glossaries') });

/** What I have used and what it saved. Counted on by the page itself meanwhile, so it is not asked for often. */
export const useOwnUses = () => useQuery({ queryKey: KEYS.ownUses, queryFn: () => call('ownUses') });

export const useTeam = () => useQuery({ queryKey: KEYS.team, queryFn: () => call('team') });

/** Everyone who is or was of the team, for owners alone. */
export const usePeople = (wanted = true) =>
  useQuery({ queryKey: KEYS.people, queryFn: () => call('people'), enabled: wanted });

export const useOwnSessions = () =>
  useQuery({ queryKey: KEYS.sessions, queryFn: () => call('ownSessions'), staleTime: 0 });

export const usePostRoom = () =>
  useQuery({ queryKey: KEYS.post, queryFn: () => call('postRoom'), staleTime: 0 });

export const useProposals = () => useQuery({ queryKey: KEYS.proposals, queryFn: () => call('proposals') });

export const useNotes = () => useQuery({ queryKey: KEYS.notes, queryFn: () => call('notes') });

export const useSharing = (collection: string) =>
  useQuery({
    queryKey: [...KEYS.sharing, collection],
    queryFn: () => call('sharing', { params: { collection } }),
  });

export const preferencesQuery = queryOptions({
  queryKey: KEYS.preferences,
  queryFn: () => call('preferences'),
  staleTime: Infinity,
});

export const usePreferences = () => useQuery(preferencesQuery);

export const useRevisions = (entry: string) =>
  useQuery({ queryKey: KEYS.revisions(entry), queryFn: () => call('revisions', { params: { entry } }) });

/** One revision of an entry, which never changes. */
export const revisionQuery = (entry: string, revision: number) =>
  queryOptions({
    queryKey: KEYS.revision(entry, revision),
    queryFn: () => call('revision', { params: { entry, revision: String(revision) } }),
    staleTime: Infinity,
  });

export const useRevision = (entry: string, revision: number | null) =>
  useQuery({ ...revisionQuery(entry, revision ?? 0), enabled: revision !== null });

/** Puts an entry just kept into the bank of this page at once, so that its cue fires with the next key. */
export function takeKept(entry: Entry): void {
  queryClient.setQueryData<Bank>(KEYS.bank, (bank) => {
    if (!bank) return bank;
    const others = bank.entries.filter(({ id }) => id !== entry.id);
    return { ...bank, entries: [...others, entry] };
  });
  void queryClient.invalidateQueries({ queryKey: KEYS.revisions(entry.id) });
}
