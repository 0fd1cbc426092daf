import { USUAL_KEEPING } from '#contracts';
import { inWords } from '#client/api';
import { useChangeTeamSettings, useTeamSettings } from '../api';
import { ActingSelect, Notice } from '../ui';

const SPANS = [
  ['days', 'Daily backups kept', [0, 3, 7, 14, 30]],
  ['weeks', 'Weekly backups kept', [0, 2, 4, 8, 12]],
  ['months', 'Monthly backups kept', [0, 3, 6, 12, 24]],
] as const;

const countInWords = (count: number) => (count === 0 ? 'none' : `the last ${count}`);

/** How many of the day's backups are left there; for owners. */
export function KeepingForm() {
  const settings = useTeamSettings();
  const save = useChangeTeamSettings();
  if (!settings.data) return null;
  const keeping = settings.data.backups ?? USUAL_KEEPING;
  return (
    <div className="grid gap-3">
      {SPANS.map(([span, label, counts]) => (
        <ActingSelect
          key={span}
          label={label}
          value={String(keeping[span])}
          disabled={save.isPending}
          act={(count) =>
            save.mutate(({ backups }) => ({
              backups: { ...(backups ?? USUAL_KEEPING), [span]: Number(count) },
            }))
          }
        >
          {[...new Set([...counts, keeping[span]])]
            .sort((one, other) => one - other)
            .map((count) => (
              <option key={count} value={count}>
                {countInWords(count)}
              </option>
            ))}
        </ActingSelect>
      ))}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
