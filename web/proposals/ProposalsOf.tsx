import { Link } from 'react-router';
import { useProposals } from '../api';
import { Notice } from '../ui';

interface Props {
  entry: string | undefined;
  /** Whether one of them is being amended on the leaf. */
  amending: boolean;
}

/** Beside an entry: that something is proposed for it, or that what stands on the leaf is such a proposal. */
export function ProposalsOf({ entry, amending }: Props) {
  const { data = [] } = useProposals();
  if (amending)
    return <Notice title="You are looking at a proposal.">Change it as you like; saving accepts it.</Notice>;
  const open = data.filter((one) => one.entry === entry && one.state === 'open');
  if (open.length === 0) return null;
  return (
    <p className="text-[14px]">
      <Link to="/proposals" className="text-elder underline">
        {open.length === 1 ? 'A change is proposed' : `${open.length} changes are proposed`}
      </Link>
      , by {open.map(({ proposedBy }) => proposedBy).join(', ')}.
    </p>
  );
}
