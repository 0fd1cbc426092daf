import type { Criterion, CriterionLevel, Tally } from '#core/work';
import { counted } from '../../show';

/** A level as it is chosen: with its points, where it has any. */
export const levelInWords = ({ name, points }: CriterionLevel): string =>
  points === null ? name : `${name} (${points === 1 ? '1 point' : `${points.toLocaleString()} points`})`;

interface LevelProps {
  criterion: Criterion;
  level: CriterionLevel | null;
  give: ((criterion: Criterion, level: CriterionLevel | null) => void) | null;
}

function LevelChoice({ criterion, level, give }: LevelProps) {
  if (!give) return <span>{level ? levelInWords(level) : 'no level'}</span>;
  return (
    <select
      aria-label={`Level for ${criterion.name}`}
      data-level={criterion.id}
      className={`input w-auto max-w-full bg-page text-[13px] ${level ? 'text-ink' : 'text-rust'}`}
      value={level?.id ?? ''}
      onChange={({ target }) =>
        give(criterion, criterion.levels.find(({ id }) => id === target.value) ?? null)
      }
    >
      <option value="">no level yet</option>
      {criterion.levels.map((one) => (
        <option key={one.id} value={one.id}>
          {levelInWords(one)}
        </option>
      ))}
    </select>
  );
}

/** What the comments come to, at the head of the submission: by criterion, with levels and points. */
export function TallyLine({ tally, give }: { tally: Tally; give: LevelProps['give'] }) {
  const { criteria, points } = tally;
  if (criteria.length === 0) return null;
  return (
    <section
      aria-label="Tally"
      className="mx-9 mt-2 border-y border-hair py-1.5 text-[13px] text-soft max-[899px]:mx-4"
    >
      <ul className="flex flex-wrap items-baseline gap-x-7 gap-y-1">
        {criteria.map(({ name, praise, faults, criterion, level }) => (
          <li key={name} className="flex flex-wrap items-baseline gap-x-2">
            <span className="font-semibold text-ink">{name || 'No criterion'}</span>
            {praise > 0 && <span className="text-leaf">{praise} praised</span>}
            {faults > 0 && <span>{counted(faults, 'fault', 'faults')}</span>}
            {criterion && criterion.levels.length > 0 && (
              <LevelChoice criterion={criterion} level={level} give={give} />
            )}
          </li>
        ))}
        {points && (
          <li className="ml-auto tabular-nums">
            {points.given.toLocaleString()} of {points.most.toLocaleString()} points
          </li>
        )}
      </ul>
    </section>
  );
}
