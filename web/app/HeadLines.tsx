import { Link, useLocation } from 'react-router';
import { useShell } from '../shell';
import { useWaiting } from '../waiting';
import { PLACES, type Place, type PlaceLine } from './places';
import { screenAt } from './screens';

const lookOf = (isHere: boolean) =>
  `py-1 border-b-2 ${isHere ? 'border-elder text-ink' : 'border-transparent text-soft hover:text-ink'}`;

/** How much waits at a place or line; nothing where nothing does. */
const Count = ({ count }: { count: number }) =>
  count > 0 && (
    <span title="Waiting for you" className="ml-1 text-[12.5px] font-semibold text-rust tabular-nums">
      {count.toLocaleString()}
      <span className="sr-only"> waiting for you</span>
    </span>
  );

const sum = (waiting: readonly { count: number }[]) => waiting.reduce((all, { count }) => all + count, 0);

/** The places of Elderleaf, the one that is shown marked, each with how much waits there. */
export function MainLine() {
  const { pathname } = useLocation();
  const here = screenAt(pathname)?.place;
  const waiting = useWaiting();
  return (
    <nav aria-label="Main" className="flex gap-5 text-[15px] max-[480px]:gap-3">
      {(Object.keys(PLACES) as Place[]).map((place) => (
        <span key={place} className="whitespace-nowrap">
          <Link
            to={PLACES[place].to}
            aria-current={place === here ? 'page' : undefined}
            className={lookOf(place === here)}
          >
            {PLACES[place].label}
          </Link>
          <Count count={sum(waiting.filter((one) => one.place === place))} />
        </span>
      ))}
    </nav>
  );
}

/** What else there is at the place that is shown: a line under the head. */
export function SecondLine() {
  const { member } = useShell();
  const { pathname } = useLocation();
  const here = screenAt(pathname);
  const waiting = useWaiting();
  if (!here?.place) return null;
  const { label, lines } = PLACES[here.place];
  const mine = (lines as readonly PlaceLine[]).filter((line) => !line.for || line.for === member.role);
  if (mine.length === 0) return null;
  return (
    <nav
      aria-label={label}
      data-print="no"
      className="mx-auto flex max-w-(--page-width) flex-wrap gap-x-5 px-7 pb-2 text-[14px] max-[899px]:px-3"
    >
      {mine.map(({ label: name, to }) => (
        <span key={to} className="whitespace-nowrap">
          <Link
            to={to}
            aria-current={to === here.line ? 'page' : undefined}
            className={`py-0.5 ${to === here.line ? 'font-semibold text-ink' : 'text-soft hover:text-ink'}`}
          >
            {name}
          </Link>
          <Count count={sum(waiting.filter((one) => one.to === to || screenAt(one.to)?.line === to))} />
        </span>
      ))}
    </nav>
  );
}
