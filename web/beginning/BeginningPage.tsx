import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { STARTER_LEAD_IN } from '#core/starters';
import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { KEYS, queryClient, useBank, useKinds, useTeam, useTeamSettings } from '../api';
import { InviteForm } from '../people';
import { Figure, useShell } from '../shell';
import { Button, Loading, Refused, Tick } from '../ui';
import { beginTeam, rowsOf, startersOf, type KindRow } from './beginTeam';
import { KindsOfTeamFields } from './KindsOfTeamFields';
import { TryLeadIn } from './TryLeadIn';

/** Sets what is chosen, makes the collections, and opens a leaf to try them on. */
function useBegin() {
  const navigate = useNavigate();
  const [taken] = useState(() => new Set<string>());
  // The same at each try: sent again after an answer that was lost, it makes no second leaf.
  const [leaf] = useState(newLeaf);
  return useMutation({
    mutationFn: async ({
      rows,
      withSymbols,
      leadIn,
    }: {
      rows: KindRow[];
      withSymbols: boolean;
      leadIn: string;
    }) => {
      await beginTeam(rows, startersOf(rows, withSymbols), leadIn, taken);
      // The first cue is typed at once: its entry must be at hand by then.
      await queryClient.invalidateQueries({ queryKey: KEYS.bank });
      return call('makeCase', { body: leaf });
    },
    onSuccess: ({ id }) => void navigate(`/cases/${id}`),
    onSettled: () => {
      for (const queryKey of [KEYS.teamSettings, KEYS.cases])
        void queryClient.invalidateQueries({ queryKey });
    },
  });
}

function Beginning({ start, isBankEmpty }: { start: KindRow[]; isBankEmpty: boolean }) {
  const [rows, setRows] = useState(start);
  const [withSymbols, setWithSymbols] = useState(isBankEmpty);
  const [leadIn, setLeadIn] = useState(STARTER_LEAD_IN);
  const begin = useBegin();
  const section = 'border-b border-hair px-9 py-4 max-[899px]:px-4';
  return (
    <form
      aria-label="Set up your team"
      onSubmit={(event) => {
        event.preventDefault();
        begin.mutate({ rows, withSymbols, leadIn });
      }}
    >
      <section aria-labelledby="team-work" className={section}>
        <h2 id="team-work" className="eyebrow mb-2">
          What your team does
        </h2>
        <KindsOfTeamFields rows={rows} change={setRows} withLimits={!isBankEmpty} />
        <div className="mt-3">
          <Tick on={withSymbols} toggle={() => setWithSymbols((now) => !now)}>
            Symbols and pictograms by their names
          </Tick>
        </div>
      </section>
      <section aria-labelledby="team-keys" className={section}>
        <h2 id="team-keys" className="eyebrow mb-2">
          Cues
        </h2>
        <p className="mb-3 text-[14.5px] text-soft">Type a cue, and its wording appears.</p>
        <TryLeadIn leadIn={leadIn} change={setLeadIn} />
      </section>
      <div className="flex flex-wrap items-center gap-4 px-9 py-4 max-[899px]:px-4">
        <Button look="main" type="submit" disabled={begin.isPending}>
          Start with a leaf
        </Button>
        <Link to="/" className="text-elder underline">
          To the desk
        </Link>
        {begin.error && <Refused error={begin.error} />}
      </div>
    </form>
  );
}

/** The first minute of a team: what it does and is called there, cues on this keyboard, colleagues, a first leaf. */
export function BeginningPage() {
  const { member } = useShell();
  const settings = useTeamSettings();
  const kinds = useKinds();
  const bank = useBank();
  const team = useTeam().data;
  const isOwner = member.role === 'owner';
  const isBankEmpty = bank.data?.collections.every(({ own }) => own) ?? false;
  return (
    <Figure
      marginLabel="Beside setting up"
      margin={
        <div className="grid gap-4 pt-6">
          {isOwner && team && <InviteForm team={team} />}
          <p className="text-[14px] text-soft">
            You can change all of this later, and invite colleagues later too.
          </p>
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">
        Set up your team
      </h1>
      {!isOwner && (
        <p className="px-9 py-4 text-soft max-[899px]:px-4">
          Only owners set up the team. You can look at the{' '}
          <Link to="/bank/shelf" className="text-elder underline">
            starter collections
          </Link>
          .
        </p>
      )}
      {isOwner && (!settings.data || !bank.data) && <Loading what="your team" />}
      {isOwner && settings.data && bank.data && (
        <Beginning start={rowsOf(kinds, isBankEmpty)} isBankEmpty={isBankEmpty} />
      )}
    </Figure>
  );
}
