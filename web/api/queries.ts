import { QueryClient, useQuery } from '@tanstack/react-query';
import type { Bank, Entry } from '#contracts';
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
  case: (id: string) => ['case', id],
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

export const useBank = () => useQuery({ queryKey: KEYS.bank, queryFn: () => call('bank') });

export const useRevisions = (entry: string) =>
  useQuery({ queryKey: KEYS.revisions(entry), queryFn: () => call('revisions', { params: { entry } }) });

export const useRevision = (entry: string, revision: number | null) =>
  useQuery({
    queryKey: KEYS.revision(entry, revision ?? 0),
    queryFn: () => call('revision', { params: { entry, revision: String(revision) } }),
    enabled: revision !== null,
    staleTime: Infinity,
  });

/** Puts an entry just kept into the bank of this page at once, so that its cue fires with the next key. */
export function takeKept(entry: Entry): void {
  queryClient.setQueryData<Bank>(KEYS.bank, (bank) => {
    if (!bank) return bank;
    const others = bank.entries.filter(({ id }) => id !== entry.id);
    return { ...bank, entries: [...others, entry] };
  });
  void queryClient.invalidateQueries({ queryKey: KEYS.revisions(entry.id) });
}
