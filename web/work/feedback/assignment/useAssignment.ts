import { useMutation, useQuery } from '@tanstack/react-query';
import type { Assignment, NewAssignment } from '#contracts';
import { call } from '#client/api';
import { KEYS, queryClient } from '../../../api';

const keyOf = (id: string) => [...KEYS.assignments, id];

/** An assignment with its submissions; nothing is asked for null. */
export const useAssignment = (id: string | null) =>
  useQuery({
    queryKey: keyOf(id ?? ''),
    queryFn: () => call('assignment', { params: { assignment: id! } }),
    enabled: id !== null,
    // Comments on its submissions change it: it is asked for wherever it comes to be seen.
    staleTime: 0,
  });

/** The assignments that one has, the newest first. */
export const useAssignments = () =>
  useQuery({ queryKey: KEYS.assignments, queryFn: () => call('assignments'), staleTime: 0 });

/** Has pages show an assignment as it is now. */
export function assignmentIsNow(now: Assignment): void {
  queryClient.setQueryData(keyOf(now.id), now);
  void queryClient.invalidateQueries({ queryKey: KEYS.assignments, exact: true });
  void queryClient.invalidateQueries({ queryKey: KEYS.cases });
}

/** Saves what is asked in an assignment: makes it where it is new. */
export function useSaveAssignment(onSaved: (now: Assignment) => void) {
  return useMutation({
    mutationFn: ({ work, version }: { work: NewAssignment; version: number | null }) => {
      const { id, ...body } = work;
      return version === null
        ? call('makeAssignment', { body: work })
        : call('changeAssignment', { params: { assignment: id }, body, version });
    },
    onSuccess: (now) => {
      assignmentIsNow(now);
      onSaved(now);
    },
  });
}
