import { useQuery } from '@tanstack/react-query';
import { keptCases } from '#client/atHand';
import { useReached } from '../shell';

/** Whether a case can be opened now: the server can be reached, or this computer kept it. */
export function useIsHere(id: string): boolean {
  const isReached = useReached();
  const { data } = useQuery({
    queryKey: ['cases-here'],
    queryFn: async () => new Set(await keptCases()),
    enabled: !isReached,
    // It changes with each case that is opened.
    staleTime: 0,
  });
  return isReached || !data || data.has(id);
}
