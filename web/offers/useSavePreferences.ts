import { useMutation } from '@tanstack/react-query';
import type { Preferences } from '#core/glossary';
import { call } from '../api/client';
import { KEYS, queryClient } from '../api/queries';

/** Saves a member's preferences; they hold on the page at once, and go back to what they were where that fails. */
export function useSavePreferences() {
  return useMutation({
    mutationFn: (body: Preferences) => call('savePreferences', { body }),
    onMutate: (next) => {
      const before = queryClient.getQueryData<Preferences>(KEYS.preferences);
      queryClient.setQueryData<Preferences>(KEYS.preferences, next);
      return before;
    },
    onError: (_error, _next, before) => queryClient.setQueryData(KEYS.preferences, before),
  });
}
