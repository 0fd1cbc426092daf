import { Button, Key } from '../../ui';
import { COMMENT_ACTS } from './commentActs';
import type { Feedback } from './useFeedback';

/** What can be done with the comment at hand, by the mouse; the keys are told with it. */
export function CommentBeside({
  feedback: { acts, comments, current, isReading, laying },
}: {
  feedback: Feedback;
}) {
  if (current === null || isReading || laying) return null;
  const pointsBack = !!comments.find(({ id }) => id === current)?.again;
  return (
    <div role="group" aria-label="This comment" className="flex flex-wrap gap-x-4 gap-y-1 pb-2 text-[13px]">
      {COMMENT_ACTS.filter(({ id }) => id !== 'whole' || pointsBack).map(({ id, short, key, run }) => (
        <Button
          key={id}
          look="text"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => run(acts)}
        >
          {short} {key && <Key>{key}</Key>}
        </Button>
      ))}
    </div>
  );
}
