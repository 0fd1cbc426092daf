import { useMemo } from 'react';
import { kindsOfTeam, type KindsOfTeam } from '#core/work';
import { useTeamSettings } from './useTeamSettings';

/** Kinds of work as the team has them; as they come until its settings are there. */
export function useKinds(): KindsOfTeam {
  const kinds = useTeamSettings().data?.kinds ?? null;
  return useMemo(() => kindsOfTeam(kinds), [kinds]);
}
