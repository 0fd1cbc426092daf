import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { call } from '#client/api';
import { kindsOfTeam, type KindsOfTeam } from '#core/work';
import { KEYS } from './queries';

/** What is set for the whole team. */
export const useTeamSettings = () =>
  useQuery({ queryKey: KEYS.teamSettings, queryFn: () => call('teamSettings') });

/** Kinds of work as the team has them; as they come until its settings are there. */
export function useKinds(): KindsOfTeam {
  const kinds = useTeamSettings().data?.kinds ?? null;
  return useMemo(() => kindsOfTeam(kinds), [kinds]);
}
