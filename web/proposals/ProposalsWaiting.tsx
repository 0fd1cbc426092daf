import { Link } from 'react-router';
import { useNotes, useProposals } from '../api';

/** The way to the proposals, saying how many wait for an answer. */
export function ProposalsWaiting() {
  const { data = [] } = useProposals();
  const { data: notes = [] } = useNotes();
  const waiting =
    data.filter(({ mayAnswer }) => mayAnswer).length +
    notes.filter(({ keeps, closed }) => keeps && !closed).length;
  return (
    <p className="mt-4 text-[14px]">
      <Link to="/proposals" className="text-elder underline">
        Proposals and notes
      </Link>
      {waiting > 0 && (
        <span className="font-semibold text-rust">
          {waiting === 1 ? ': one waits for you' : `: ${waiting} wait for you`}
        </span>
      )}
    </p>
  );
}
