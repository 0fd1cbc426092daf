import { useMemo, useRef } from 'react';
import type { OthersComments } from '#contracts';
import { paragraphAt, paragraphNumbers, type Submission } from '#core/submission';
import { PassageView } from '../../show';
import type { MarkedPassage } from './reading';
import { useCommentLevels } from './useCommentLevels';
import type { Feedback } from './useFeedback';

interface Props {
  feedback: Feedback;
  submission: Submission;
  others: readonly OthersComments[];
}

/** What belongs beside the submission without being one's own text: hairlines to the comments, and the comments of colleagues. */
export function CommentLayer({ feedback, submission, others }: Props) {
  const rules = useRef<SVGSVGElement>(null);
  const { theirs, marked } = useMemo(() => {
    const all = others.flatMap(({ author, authorName, comments }) =>
      comments.map((comment) => ({ ...comment, id: `${author} ${comment.id}`, authorName })),
    );
    return { theirs: all, marked: all.map(({ id, on }): MarkedPassage => ({ id, on, isOthers: true })) };
  }, [others]);
  useCommentLevels(feedback, marked, rules);
  const numbers = useMemo(() => paragraphNumbers(submission), [submission]);
  return (
    <>
      <svg ref={rules} className="comment-rules" aria-hidden />
      {theirs.map(({ id, on, authorName, passage }) => (
        <section
          key={id}
          data-comment={id}
          className="comment is-others"
          aria-label={`Comment of ${authorName}, paragraph ${paragraphAt(numbers, on.from.block)}`}
        >
          <p className="comment-head">{authorName}</p>
          <div className="prose-leaf">
            <PassageView passage={passage} nameOf={() => ''} links={false} />
          </div>
        </section>
      ))}
    </>
  );
}
