import type { Proposal } from '#contracts';
import { useProposals, useEntriesAtHand, useBankIndex } from '../api';
import type { BankIndex } from '#core/bank';
import { Figure } from '../shell';
import { Failed, Loading } from '../ui';
import { NotesWaiting } from '../notes';
import { GoneCard, ProposalCard } from './ProposalCard';

interface ListProps {
  title: string;
  proposals: readonly Proposal[];
  index: BankIndex;
  none: string;
}

function List({ title, proposals, index, none }: ListProps) {
  return (
    <section aria-label={title} className="pt-5">
      <h2 className="section-head border-b border-hair px-9 pb-1 max-[899px]:px-4">{title}</h2>
      {proposals.length === 0 && <p className="px-9 py-4 text-[14px] text-soft max-[899px]:px-4">{none}</p>}
      <ul>
        {proposals.map((proposal) => {
          if (proposal.deleted) return <GoneCard key={proposal.id} proposal={proposal} />;
          const entry = index.entries.get(proposal.entry);
          return entry && <ProposalCard key={proposal.id} proposal={proposal} entry={entry} />;
        })}
      </ul>
    </section>
  );
}

/** What is proposed: to be answered by those who keep the entries, and one's own with the answers. */
export function ProposalsPage() {
  const proposals = useProposals();
  const index = useBankIndex();
  const all = proposals.data ?? [];
  const isHere = useEntriesAtHand(all.filter(({ deleted }) => !deleted).map(({ entry }) => entry));
  return (
    <Figure
      marginLabel="About proposals"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          If you cannot change an entry, open it, change it and say why. Its keepers see the difference here,
          and accept it, amend it first, or decline it with a reply.
        </p>
      }
    >
      <header className="px-9 pt-6 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Proposals and notes</h1>
      </header>
      {proposals.isError && (
        <Failed what="the proposals" error={proposals.error} retry={() => void proposals.refetch()} />
      )}
      {(proposals.isPending || !index || !isHere) && !proposals.isError && <Loading what="the proposals" />}
      {proposals.data && index && isHere && (
        <>
          <List
            title="For you to answer"
            proposals={all.filter(({ mayAnswer }) => mayAnswer)}
            index={index}
            none="Nothing waits for your answer."
          />
          <List
            title="Proposed by you"
            proposals={all.filter(({ own, mayAnswer }) => own && !mayAnswer)}
            index={index}
            none="You have proposed nothing yet."
          />
          <NotesWaiting index={index} />
        </>
      )}
    </Figure>
  );
}
