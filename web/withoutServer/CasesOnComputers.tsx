import type { CasesOnComputers as Rule } from '#contracts';
import { inWords } from '#client/api';
import { useChangeTeamSettings, useTeamSettings } from '../api';
import { useShell } from '../shell';
import { ActingSelect, Failed, Loading, Notice } from '../ui';

const DAYS = [1, 7, 30];
const WHILE_SIGNED_IN = 'while signed in';

const inWordsOf = (rule: Rule | null): string => {
  if (rule === null) return WHILE_SIGNED_IN;
  if (rule === 'none') return 'not at all';
  return rule === 1 ? 'for a day' : `for ${rule} days`;
};

/** How long the team lets cases stay on its members' computers: for owners to set, for others to know. */
export function CasesOnComputers() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const save = useChangeTeamSettings();
  if (settings.isPending) return <Loading what="what the team has settled" />;
  if (settings.isError)
    return (
      <Failed what="what the team has settled" error={settings.error} retry={() => void settings.refetch()} />
    );
  const rule = settings.data.casesOnComputers;
  if (member.role !== 'owner')
    return (
      <p className="text-[14px] text-soft">
        Your team lets cases and drafts stay on computers {inWordsOf(rule)}.
      </p>
    );
  const listed = rule === null || rule === 'none' || DAYS.includes(rule);
  return (
    <div className="grid gap-2">
      <ActingSelect
        label="Cases and drafts stay on computers"
        value={rule === null ? '' : String(rule)}
        disabled={save.isPending}
        act={(to) =>
          save.mutate(() => ({ casesOnComputers: to === '' ? null : to === 'none' ? to : Number(to) }))
        }
      >
        <option value="">{WHILE_SIGNED_IN}</option>
        {!listed && <option value={rule}>{inWordsOf(rule)}</option>}
        {DAYS.map((days) => (
          <option key={days} value={days}>
            {inWordsOf(days)}
          </option>
        ))}
        <option value="none">{inWordsOf('none')}</option>
      </ActingSelect>
      <p className="text-[13px] text-soft">
        Days are counted from when the server was last reached. Signing out removes everything, whatever is
        set here.
      </p>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
