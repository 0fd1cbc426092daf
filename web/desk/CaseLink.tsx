import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { CaseSummary } from '#contracts';
import { useKinds } from '../api';

interface Props {
  one: CaseSummary;
  /** Where it leads. */
  to: string;
  /** What is told beneath its title, in two columns. */
  children: ReactNode;
}

/** A case in a list of the desk: its title, what it is, and what else is told of it. */
export function CaseLink({ one, to, children }: Props) {
  const { caseOf } = useKinds();
  return (
    <li className="border-b border-hair last:border-0">
      <Link to={to} className="group grid grid-cols-[1fr_auto] gap-x-6 px-9 py-3 max-[899px]:px-4">
        <span className="min-w-0 font-book text-[18px] leading-snug break-words group-hover:text-elder">
          {one.title}
        </span>
        <span className="text-right text-[13px] text-soft">
          {caseOf(one.kind)}
          {one.number && ` ${one.number}`}
          {one.closed && ', closed'}
        </span>
        {children}
      </Link>
    </li>
  );
}
