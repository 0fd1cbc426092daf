import { useMutation } from '@tanstack/react-query';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Entry, Proposal } from '#contracts';
import { mergedEntry, type MergedEntry } from '#core/difference';
import { call, inWords } from '#client/api';
import { takeKept, KEYS, queryClient, useRevision } from '../api';
import { DifferenceView, titleOf } from '../show';
import { instantInWords } from '#client/clock';
import { keepUnsaved, unsavedKey } from '#client/unsaved';
import { useShell } from '../shell';
import { Button, Notice, TextField } from '../ui';

const STATES: Record<Proposal['state'], string> = {
  open: 'Waits for an answer',
  accepted: 'Accepted',
  declined: 'Declined',
  withdrawn: 'Taken back',
};

const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.proposals });

/** What the entry would become: the proposal, made one with what was saved since it was written. */
function useMerged(proposal: Proposal, entry: Entry): MergedEntry | null {
  const moved = entry.revision > proposal.base;
  const base = useRevision(proposal.entry, moved ? proposal.base : null).data;
  return useMemo(() => {
    if (!moved) return { content: proposal.content, clashes: [] };
    return base ? mergedEntry(base.content, proposal.content, entry.content) : null;
  }, [moved, base, proposal.content, entry.content]);
}

interface Props {
  proposal: Proposal;
  entry: Entry;
}

function Answer({ proposal, entry, merged }: Props & { merged: MergedEntry }) {
  const { member } = useShell();
  const navigate = useNavigate();
  const [words, setWords] = useState('');
  const answer = useMutation({
    mutationFn: (accept: boolean) =>
      call('answerProposal', {
        params: { proposal: proposal.id },
        body: {
          accept: accept ? { content: merged.content, revision: entry.revision } : null,
          answer: words,
        },
      }),
    onSuccess: ({ entry: kept }) => {
      if (kept) takeKept(kept);
    },
    onSettled: settled,
  });
  const amend = () => {
    const change = { base: entry.revision, content: merged.content, reason: words, proposal: proposal.id };
    keepUnsaved(unsavedKey(member.id, entry.id), change);
    void navigate(`/bank/${entry.id}`);
  };
  return (
    <div className="grid gap-3">
      <TextField
        label="Reply"
        value={words}
        maxLength={300}
        onChange={({ target }) => setWords(target.value)}
      />
      {answer.error && <Notice tone="warning" title={inWords(answer.error)} />}
      <p className="flex flex-wrap gap-2">
        <Button look="main" disabled={answer.isPending} onClick={() => answer.mutate(true)}>
          Accept
        </Button>
        <Button onClick={amend}>Amend it first</Button>
        <Button disabled={answer.isPending || words.trim() === ''} onClick={() => answer.mutate(false)}>
          Decline with this reply
        </Button>
      </p>
    </div>
  );
}

function TakeBack({ proposal }: { proposal: Proposal }) {
  const back = useMutation({
    mutationFn: () => call('withdrawProposal', { params: { proposal: proposal.id } }),
    onSettled: settled,
  });
  return (
    <div>
      {back.error && <Notice tone="warning" title={inWords(back.error)} />}
      <Button disabled={back.isPending} onClick={() => back.mutate()}>
        Take it back
      </Button>
    </div>
  );
}

const draftsInWords = (drafts: number) =>
  drafts === 1 ? 'One unfinished draft holds this entry.' : `${drafts} unfinished drafts hold this entry.`;

const TITLE = 'font-book text-[19px] break-words';

/** Who proposed what, when and why, and what became of it. */
function About({ proposal, children }: { proposal: Proposal; children: ReactNode }) {
  const { state, reason, proposedBy, proposedAt, answer, answeredBy, own } = proposal;
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-3">
        {children}
        <span className="text-[13px] text-soft">
          {own ? 'You' : proposedBy}, {instantInWords(proposedAt)}
        </span>
        <span className="ml-auto text-[13px] text-soft">{STATES[state]}</span>
      </header>
      <p className="text-[14px]">Why: {reason}</p>
      {answeredBy && (
        <p className="text-[14px]">
          {answeredBy} {state === 'accepted' ? 'accepted it' : 'declined it'}
          {answer && `: ${answer}`}
        </p>
      )}
    </>
  );
}

const CARD = 'grid gap-3 border-b border-hair px-9 py-5 max-[899px]:px-4';

/** What one proposed for an entry that was deleted since. */
export function GoneCard({ proposal }: { proposal: Proposal }) {
  return (
    <li className={CARD}>
      <About proposal={proposal}>
        <span className={TITLE}>{proposal.content.title}</span>
      </About>
      <p className="text-[14px] text-soft">
        This entry was deleted.{' '}
        {proposal.state === 'open' && 'If it is brought back, what you proposed waits again.'}
      </p>
    </li>
  );
}

/** One proposal: who, why, what it would change in the entry as it stands now, and the answer. */
export function ProposalCard({ proposal, entry }: Props) {
  const merged = useMerged(proposal, entry);
  const { state, drafts, base } = proposal;
  const isOpen = state === 'open';
  return (
    <li className={CARD}>
      <About proposal={proposal}>
        <Link to={`/bank/${entry.id}`} className={`${TITLE} hover:text-elder`}>
          {entry.content.title}
        </Link>
      </About>
      {isOpen && merged && (
        <>
          <DifferenceView before={entry.content} after={merged.content} />
          {entry.revision > base && (
            <p className="text-[13px] text-soft">
              The entry has changed since this was written. It is compared with the current wording.
            </p>
          )}
          {merged.clashes.length > 0 && (
            <Notice tone="warning" title="It changes what was changed since.">
              {merged.clashes.map(titleOf).join(', ')}: accepting it replaces that change.
            </Notice>
          )}
          {drafts !== null && drafts > 0 && <p className="text-[13px] text-soft">{draftsInWords(drafts)}</p>}
          {proposal.mayAnswer && <Answer proposal={proposal} entry={entry} merged={merged} />}
          {proposal.own && <TakeBack proposal={proposal} />}
        </>
      )}
    </li>
  );
}
