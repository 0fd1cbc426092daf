import { useEffect, useState } from 'react';
import { countKept, noStore, type KeptCounts } from '#client/atHand';
import type { CasesOnComputers as CasesOnComputersRule } from '#contracts';
import { useBank, useTeamSettings } from '../api';
import { Figure, useReached, useShell } from '../shell';
import { CasesOnComputers } from './CasesOnComputers';
import { useUnsentTexts } from './useUnsentTexts';
import { useWaitingActs } from './useWaitingActs';
import { Waiting } from './Waiting';

const counted = (count: number, one: string, many: string) =>
  count === 1 ? `one ${one}` : `${count.toLocaleString()} ${many}`;

/** What is kept here, in a sentence. */
function keptInWords(counts: KeptCounts | null, entries: number, rule: CasesOnComputersRule | null): string {
  if (!counts)
    return noStore() === 'newer'
      ? 'Nothing: a newer Elderleaf was used in this browser. Load this page again to have that.'
      : 'Nothing: this browser lets pages keep nothing. Cues and leaves need the server.';
  const bank = `The bank with ${counted(entries, 'entry', 'entries')}`;
  if (rule === 'none') return `${bank}. Your team saves no cases here.`;
  return `${bank}, ${counted(counts.cases, 'case', 'cases')} and ${counted(counts.drafts, 'leaf', 'leaves')} of yours, as they were when you opened them last.`;
}

/** What this computer keeps, so that one can work while the server cannot be reached; what it alone has; and for how long. */
export function ThisComputerPage() {
  const { member } = useShell();
  const isReached = useReached();
  const acts = useWaitingActs(member.id);
  const texts = useUnsentTexts(member.id);
  const bank = useBank();
  // What the team has settled is followed at once.
  const rule = useTeamSettings().data?.casesOnComputers ?? null;
  const [counts, setCounts] = useState<KeptCounts | null | undefined>(undefined);
  useEffect(() => void countKept().then(setCounts), [acts, rule]);
  return (
    <Figure
      marginLabel="How long it stays"
      margin={
        <div className="grid gap-3 pt-6">
          <h2 className="section-head">How long it stays</h2>
          <CasesOnComputers />
          <p className="text-[14px] text-soft">
            Signing out removes all of it. So does another member signing in, but for what is not on the
            server yet: that waits, unseen, for its own member.
          </p>
        </div>
      }
    >
      <div className="grid gap-6 px-9 py-6 max-[899px]:px-4">
        <header className="grid gap-2">
          <h1 className="font-book text-[26px] leading-tight">This computer</h1>
          <p className="text-[15px]">
            {isReached
              ? 'The server can be reached. What is saved here is for when it cannot be.'
              : 'The server cannot be reached. You work with what is saved here.'}
          </p>
        </header>
        <section aria-label="Not on the server yet" className="grid gap-2">
          <h2 className="section-head">Not on the server yet</h2>
          <Waiting member={member.id} acts={acts} texts={texts} />
        </section>
        <section aria-label="Saved here" className="grid gap-2">
          <h2 className="section-head">Saved here</h2>
          {counts !== undefined && (
            <p className="text-[15px]">{keptInWords(counts, bank.data?.entries.length ?? 0, rule)}</p>
          )}
          <p className="text-[14px] text-soft">
            Files, recordings and the work of others are on the server alone.
          </p>
        </section>
      </div>
    </Figure>
  );
}
