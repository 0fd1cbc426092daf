import { Link } from 'react-router';
import { useShell } from '../shell';
import { isDue, useReviews } from './reviews';

/** Says how many entries are due to be looked through by the reader; nothing where none is. */
export function ReviewsWaiting() {
  const { member } = useShell();
  const { data } = useReviews();
  const due = data?.reviews.filter((one) => one.keeper === member.id && isDue(one)).length ?? 0;
  if (due === 0) return null;
  return (
    <p className="mt-2 text-[14px]">
      <Link to="/order/ageing" className="text-elder underline">
        Due for review
      </Link>
      <span className="font-semibold text-rust">
        {due === 1 ? ': one entry is yours to look through' : `: ${due} entries are yours to look through`}
      </span>
    </p>
  );
}
