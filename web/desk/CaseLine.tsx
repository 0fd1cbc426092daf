import type { CaseSummary } from '#contracts';
import { instantInWords } from '#client/clock';
import { CaseLink } from './CaseLink';
import { useIsHere } from './useIsHere';

/** How many leaves of a case there are and how many are unfinished; '' for one alone, which its group tells of. */
function leavesInWords({ unfinished, finished }: CaseSummary): string {
  const all = unfinished + finished;
  if (all < 2) return '';
  return unfinished === 0 ? `${all} leaves, ` : `${unfinished} of ${all} leaves unfinished, `;
}

/** A case on the desk: what is written on it, and when it was saved. */
export function CaseLine({ one }: { one: CaseSummary }) {
  const isHere = useIsHere(one.id);
  const day = new Date(one.openedAt).toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
  return (
    <CaseLink one={one} to={`/cases/${one.id}`}>
      <span className="line-clamp-1 text-[14px] text-soft">
        {!isHere && <span className="text-rust">Not on this computer. </span>}
        {one.draft ? one.draft.excerpt || 'An empty draft' : one.summary || 'No reason given'}
      </span>
      <span className="text-right text-[13px] text-soft">
        {leavesInWords(one)}
        {one.draft ? `saved ${instantInWords(one.draft.savedAt)}` : day}
      </span>
    </CaseLink>
  );
}
