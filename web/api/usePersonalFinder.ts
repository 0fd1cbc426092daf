import { useCallback, useMemo } from 'react';
import { personalFinder } from '#core/privacy';
import { useKnownNames, useTeam } from './queries';
import type { BankIndex } from '#core/bank';

/** Finds somebody's details in a text; null as long as it is not known who there is. */
export function usePersonalFinder(index: BankIndex): ReturnType<typeof personalFinder> | null {
  const { data } = useKnownNames();
  return useMemo(() => (data ? personalFinder(data, index.ordinary) : null), [data, index]);
}

/** Whether a name is that of one of the team, and so not of a case. */
export function useIsOfTeam(): (name: string) => boolean {
  const { data } = useTeam();
  return useCallback(
    (name) =>
      data?.members.some((member) => member.name === name || member.name.split(' ').includes(name)) ?? false,
    [data],
  );
}
