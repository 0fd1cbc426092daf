import { useMutation } from '@tanstack/react-query';
import type { Preferences } from '#core/glossary';
import { call } from '#client/api';
import { KEYS, preferencesQuery, queryClient } from '../api';

/**
 * Changes a member's preferences. A change is made to what the server has, waited for if it is still on its way, never
 * to what is assumed until then; it holds on the page at once, and is taken back where saving fails.
 */
export function useSavePreferences() {
  return useMutation({
    // One after another: the last to be saved holds every change.
    scope: { id: 'preferences' },
    onMutate: async (change: (before: Preferences) => Preferences) => {
      const before = await queryClient.ensureQueryData(preferencesQuery);
      queryClient.setQueryData<Preferences>(KEYS.preferences, change(before));
      return before;
    },
    mutationFn: () =>
      call('savePreferences', { body: queryClient.getQueryData<Preferences>(KEYS.preferences)! }),
    onError: (_error, _change, before) => before && queryClient.setQueryData(KEYS.preferences, before),
  });
}
