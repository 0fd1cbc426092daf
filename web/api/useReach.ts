import { useMemo } from 'react';
import type { CaseSummary } from '#contracts';
import { makeReach, type BankIndex, type Reach } from '#core/bank';
import { usePreferences } from './queries';

/** What is in reach for a kind of case: collections meant for it or for all work, and what the member switched. */
export function useReach(index: BankIndex | null, kind: CaseSummary['kind']): Reach | null {
  const own = usePreferences().data?.reach[kind];
  return useMemo(() => (index ? makeReach(index, kind, own) : null), [index, kind, own]);
}
