import { useQuery } from '@tanstack/react-query';
import type { Case, OthersMarkings } from '#contracts';
import { call } from '#client/api';
import { KEYS } from '../../api';

const NOBODY: readonly OthersMarkings[] = [];

/** What colleagues who have the case too have marked on its pages. */
export const useOthersMarkings = ({ id, given }: Case): readonly OthersMarkings[] =>
  useQuery({
    queryKey: KEYS.othersMarkings(id),
    queryFn: () => call('othersMarkings', { params: { case: id } }),
    enabled: given.length > 1,
  }).data ?? NOBODY;
