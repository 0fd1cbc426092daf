import { useMemo } from 'react';
import { makeIndex, type BankIndex } from '#core/bank';
import { useBank } from './bank';

/** The member's bank, indexed anew whenever it changes; null until it is there. */
export function useBankIndex(): BankIndex | null {
  const { data } = useBank();
  return useMemo(() => (data ? makeIndex(data) : null), [data]);
}
