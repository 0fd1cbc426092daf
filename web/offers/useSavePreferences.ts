import { useMutation } from '@tanstack/react-query';
import type { Preferences } from '#core/glossary';
import { call } from '#client/api';
import { inTurn } from '#client/locks';
import { KEYS, preferencesQuery, queryClient } from '../api';

const KEY = ['save-preferences'];

/**
 * Changes a member's preferences. A change is made to what the server has when it is saved, one window at a time, so that what
 * another window or computer of theirs has changed since stays; it holds on the page at once, and is taken back where saving fails. So a change is
 * made twice: first to what the page has, waited for if it is still on its way.
 */
export function useSavePreferences() {
  return useMutation({
    mutationKey: KEY,
    // One after another: the last to be saved holds every change.
    scope: { id: 'preferences' },
    onMutate: async (change: (before: Preferences) => Preferences) => {
      const before = await queryClient.ensureQueryData(preferencesQuery);
      queryClient.setQueryData<Preferences>(KEYS.preferences, change(before));
      return before;
    },
    mutationFn: (change) =>
      inTurn('preferences', async () => {
        const body = change(await call('preferences'));
        await call('savePreferences', { body });
        return body;
      }),
    onSuccess: (saved) => {
      // Others are on their way yet, and hold on the page meanwhile.
      if (queryClient.isMutating({ mutationKey: KEY }) === 1)
        queryClient.setQueryData<Preferences>(KEYS.preferences, saved);
    },
    onError: (_error, _change, before) => before && queryClient.setQueryData(KEYS.preferences, before),
  });
}
