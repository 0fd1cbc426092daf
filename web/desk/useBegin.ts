import { useMutation } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { makeCaseOrWait } from '#client/waiting';
import { KEYS, queryClient } from '../api';
import { useShell } from '../shell';
import { writtenToday } from '#client/clock';
import { emptyCase, toNewCase, type NewCaseForm } from './newCase';

/** Begins a case, on this computer where the server cannot be reached, and opens its leaf. */
export function useBegin(after?: () => void) {
  const { member } = useShell();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (form: NewCaseForm) => makeCaseOrWait(member, toNewCase(form, writtenToday())),
    onSuccess: ({ id }) => {
      after?.();
      void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      void navigate(`/cases/${id}`);
    },
  });
}

/** Begins a leaf of no case: nothing is asked, and it is called by what is written on it. */
export function useNewLeaf() {
  const { mutate, isPending, error } = useBegin();
  const run = useCallback(() => mutate(emptyCase('leaf')), [mutate]);
  return { run, isPending, error };
}
