import { useQueries } from '@tanstack/react-query';
import { useKinds } from '../api';
import type { CaseGroup } from './caseGroup';
import { SHOWN } from './shown';

/** The groups that the team's kinds of work have of cases; null until they are known. What cannot be had groups nothing. */
export function useCaseGroups(): readonly CaseGroup[] | null {
  const { done } = useKinds();
  return useQueries({
    queries: done.flatMap((kind) => SHOWN[kind].groups ?? []),
    combine: (all) => (all.some(({ isPending }) => isPending) ? null : all.flatMap(({ data }) => data ?? [])),
  });
}
