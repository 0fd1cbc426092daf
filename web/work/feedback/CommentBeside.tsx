import { isSameName, type Criterion } from '#core/work';
import { Button, Key } from '../../ui';
import { COMMENT_ACTS } from './commentActs';
import type { Feedback } from './useFeedback';

const COUNTED_AS = { fault: 'a fault', praise: 'praise', neither: 'neither' };

/** What can be done with the comment at hand, by the mouse; the keys are told with it. */
export function CommentBeside({
  feedback: { acts, comments, current, isReading, laying },
  criteria,
}: {
  feedback: Feedback;
  criteria: readonly Criterion[];
}) {
  if (current === null || isReading || laying) return null;
  const comment = comments.find(({ id }) => id === current);
  const pointsBack = !!comment?.again;
  const counts = comment?.counts ?? { criterion: '', as: null };
  return (
    <div role="group" aria-label="This comment" className="flex flex-wrap gap-x-4 gap-y-1 pb-2 text-[13px]">
      {COMMENT_ACTS.filter(({ short, id }) => short !== null && (id !== 'whole' || pointsBack)).map(
        ({ id, short, key, run }) => (
          <Button
            key={id}
            look="text"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => run(acts)}
          >
            {id === 'counts' ? `Counts as ${COUNTED_AS[counts.as ?? 'neither']}` : short}{' '}
            {key && <Key>{key}</Key>}
          </Button>
        ),
      )}
      {criteria.length > 0 && (
        <label className="flex items-baseline gap-1.5 text-soft">
          Criterion
          <select
            className="input w-auto max-w-44 bg-page text-ink"
            value={criteria.find(({ name }) => isSameName(name, counts.criterion))?.name ?? ''}
            onChange={({ target }) => acts.count({ criterion: target.value, as: counts.as })}
          >
            <option value="">none</option>
            {criteria.map(({ id, name }) => (
              <option key={id}>{name}</option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
