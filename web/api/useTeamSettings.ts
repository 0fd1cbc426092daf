import { useMutation, useQuery } from '@tanstack/react-query';
import type { TeamSettings } from '#contracts';
import { call } from '#client/api';
import { KEYS, queryClient } from './queries';

/** What is set for the whole team. */
export const useTeamSettings = () =>
  useQuery({ queryKey: KEYS.teamSettings, queryFn: () => call('teamSettings') });

/**
 * Changes what is set for the whole team, by a function from what is set by then: what another owner saved since this page was
 * read stays.
 */
export const useChangeTeamSettings = () =>
  useMutation({
    mutationFn: async (change: (there: TeamSettings) => Partial<TeamSettings>) =>
      call('saveTeamSettings', { body: change(await call('teamSettings')) }),
    onSuccess: (now) => queryClient.setQueryData(KEYS.teamSettings, now),
  });
