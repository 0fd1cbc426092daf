import { Link } from 'react-router';
import type { CaseSummary } from '#contracts';
import type { CaseGroup } from '../work';
import { CaseLine } from './CaseLine';

/** So many cases of one group are one line; fewer stand for themselves. */
const LEAST_TOGETHER = 3;

/** The cases of one part of the desk: those that belong together in a line each, which opens; the others one by one. */
export function CaseGroups({
  cases,
  groups,
}: {
  cases: readonly CaseSummary[];
  groups: readonly CaseGroup[];
}) {
  const together = groups
    .map((group) => {
      const within = new Set(group.cases);
      return { group, own: cases.filter(({ id }) => within.has(id)) };
    })
    .filter(({ own }) => own.length >= LEAST_TOGETHER);
  const grouped = new Set(together.flatMap(({ own }) => own.map(({ id }) => id)));
  return (
    <>
      <ul>
        {cases
          .filter(({ id }) => !grouped.has(id))
          .map((one) => (
            <CaseLine key={one.id} one={one} />
          ))}
      </ul>
      {together.map(({ group: { id, title, to, open }, own }) => (
        <details key={id} className="border-t border-hair">
          <summary className="cursor-pointer px-9 py-3 max-[899px]:px-4">
            <span className="font-book text-[18px] leading-snug">{title}</span>{' '}
            <span className="text-[13px] text-soft">{own.length.toLocaleString()} cases</span>
          </summary>
          <p className="px-9 pb-2 text-[14px] max-[899px]:px-4">
            <Link to={to} className="text-elder underline">
              {open}
            </Link>
          </p>
          <ul aria-label={title}>
            {own.map((one) => (
              <CaseLine key={one.id} one={one} />
            ))}
          </ul>
        </details>
      ))}
    </>
  );
}
