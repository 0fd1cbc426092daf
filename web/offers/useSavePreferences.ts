import { useMutation } from '@tanstack/react-query';
import type { Preferences } from '#core/glossary';
import { call, isProblem } from '#client/api';
import { inTurn } from '#client/locks';
import { KEYS, preferencesQuery, queryClient } from '../api';

const KEY = ['save-preferences'];

const MOST_TRIES = 5;

/**
 * Changes a member's preferences. A change is made to what the server has when it is saved, one window at a time, and anew where another computer
 * was quicker, so that what another window or computer of theirs has changed since stays; it holds on the page at once, and is taken back where saving fails. So a change is
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
        for (let tries = 1; ; tries += 1) {
          const was = await call('preferences');
          const made = change(was);
          try {
            await call('savePreferences', { body: { ...made, was } });
            return made;
          } catch (error) {
            // Another computer was quicker: the change is made to what that one saved.
            if (!isProblem(error, 'moved-on') || tries === MOST_TRIES) throw error;
          }
        }
      }),
    onSuccess: (saved) => {
      // Others are on their way yet, and hold on the page meanwhile.
      if (queryClient.isMutating({ mutationKey: KEY }) === 1)
        queryClient.setQueryData<Preferences>(KEYS.preferences, saved);
    },
    onError: (_error, _change, before) => before && queryClient.setQueryData(KEYS.preferences, before),
  });
}
