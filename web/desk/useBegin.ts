import { useMutation } from '@tanstack/react-query';
import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { call } from '../api/client';
import { KEYS, queryClient } from '../api/queries';
import { calendarToday } from '../clock/calendarToday';
import { emptyCase, toNewCase, type Begun, type NewCaseForm } from './newCase';

/** When a case is begun here, and how days are written by whoever begins it. */
export const begunToday = (): Begun => ({ today: calendarToday(), language: navigator.language || 'en-GB' });

/** Begins a case on the server and opens its leaf. */
export function useBegin(after?: () => void) {
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (form: NewCaseForm) => call('makeCase', { body: toNewCase(form, begunToday()) }),
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
