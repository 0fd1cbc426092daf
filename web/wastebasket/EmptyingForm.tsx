import { inWords } from '#client/api';
import { KEYS, queryClient, useChangeTeamSettings, useTeamSettings } from '../api';
import { ActingSelect, Notice } from '../ui';

const PERIODS = [
  [7, 'a week'],
  [30, '30 days'],
  [90, '90 days'],
  [365, 'a year'],
] as const;

const inPeriods = (days: number) =>
  PERIODS.find(([count]) => count === days)?.[1] ?? (days === 1 ? 'a day' : `${days} days`);

/** When the wastebasket is emptied of a thing: for owners to set, for others to know. */
export function EmptyingForm({ isOwner }: { isOwner: boolean }) {
  const settings = useTeamSettings();
  const save = useChangeTeamSettings();
  if (!settings.data) return null;
  const { wastebasketDays: days } = settings.data;
  if (!isOwner)
    return (
      <p className="text-[14px]">
        {days === null
          ? 'Nothing is deleted by itself.'
          : `Things here are deleted for good after ${inPeriods(days)}.`}
      </p>
    );
  const listed = days === null || PERIODS.some(([count]) => count === days);
  return (
    <div>
      <ActingSelect
        label="Delete for good after"
        value={days === null ? '' : String(days)}
        disabled={save.isPending}
        act={(count) =>
          save.mutate(() => ({ wastebasketDays: count === '' ? null : Number(count) }), {
            onSuccess: () => void queryClient.invalidateQueries({ queryKey: KEYS.wastebasket }),
          })
        }
      >
        {!listed && <option value={days}>{inPeriods(days)}</option>}
        {PERIODS.map(([count, words]) => (
          <option key={count} value={count}>
            {words}
          </option>
        ))}
        <option value="">never</option>
      </ActingSelect>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
