import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Entry } from '#contracts';
import { call } from '#client/api';
import { KEYS } from './queries';
import type { BankIndex } from '#core/bank';

const none: readonly Entry[] = [];

/**
 * Entries by any of their words in collections that are not at hand, nearest first: the server is asked, and what was found
 * for the words before stands until it has answered. Nothing where all is at hand.
 */
export function useFoundAway(
  index: BankIndex | null,
  query: string,
): { entries: readonly Entry[]; more: boolean; error: Error | null } {
  const asked = query.trim();
  const wanted = index !== null && index.away.size > 0 && asked !== '';
  const { data, error } = useQuery({
    queryKey: [...KEYS.search, asked],
    queryFn: ({ signal }) => call('search', { body: { query: asked.slice(0, 200) }, signal }),
    enabled: wanted,
    placeholderData: keepPreviousData,
  });
  const entries = useMemo(
    () => (wanted && data ? data.entries.filter(({ id }) => !index.entries.has(id)) : none),
    [wanted, data, index],
  );
  return { entries, more: wanted && (data?.more ?? false), error: wanted ? error : null };
}
