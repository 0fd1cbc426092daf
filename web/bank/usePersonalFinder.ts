import { useMemo } from 'react';
import { personalFinder } from '#core/privacy';
import { useKnownNames } from '../api/queries';
import type { BankIndex } from './bankIndex';

/** Finds somebody's details in a text; null as long as it is not known who there is. */
export function usePersonalFinder(index: BankIndex): ReturnType<typeof personalFinder> | null {
  const { data } = useKnownNames();
  return useMemo(() => (data ? personalFinder(data, index.ordinary) : null), [data, index]);
}
