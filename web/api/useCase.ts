import { useQuery } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { Case } from '#contracts';
import { recordByRules, USUAL_RULES, type RecordRules } from '#core/record';
import { call } from '#client/api';
import { calendarToday } from '#client/clock';
import { KEYS } from './queries';
import { useTeamSettings } from './useTeamSettings';

/** What the team has settled on for records; the usual until its settings are there. */
export const useRecordRules = (): RecordRules => useTeamSettings().data?.records ?? USUAL_RULES;

/** A case, its record with what the team's rules make due. */
export function useCase(id: string | null) {
  const rules = useRecordRules();
  const select = useCallback(
    (one: Case): Case => {
      const record = recordByRules(one.record, rules, calendarToday());
      return record === one.record ? one : { ...one, record };
    },
    [rules],
  );
  return useQuery({
    queryKey: KEYS.case(id ?? ''),
    queryFn: () => call('case', { params: { case: id! } }),
    enabled: id !== null,
    select,
  });
}
