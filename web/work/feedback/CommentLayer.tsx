import { useMemo, useRef } from 'react';
import type { OthersComments } from '#contracts';
import { paragraphAt, paragraphNumbers, type Submission } from '#core/submission';
import { PassageView } from '../../show';
import type { MarkedPassage } from './reading';
import { SignBeside } from './signs/SignBeside';
import type { Signs } from './signs/useSigns';
import { useCommentLevels } from './useCommentLevels';
import type { Feedback } from './useFeedback';

interface Props {
  feedback: Feedback;
  submission: Submission;
  others: readonly OthersComments[];
  signs: Signs;
}

/** What the sign at hand is called among the comments: it stands beside its words as they do. */
const SIGN = 'sign';

/** What belongs beside the submission without being one's own text: hairlines to the comments, and the comments of colleagues. */
export function CommentLayer({ feedback, submission, others, signs }: Props) {
  const rules = useRef<SVGSVGElement>(null);
  const { sign } = signs;
  const { theirs, marked } = useMemo(() => {
    const all = others.flatMap(({ author, authorName, comments }) =>
      comments.map((comment) => ({ ...comment, id: `${author} ${comment.id}`, authorName })),
    );
    const beside = all.map(({ id, on }): MarkedPassage => ({ id, on, isOthers: true }));
    return { theirs: all, marked: sign ? [...beside, { id: SIGN, on: sign.on, isOthers: true }] : beside };
  }, [others, sign]);
  useCommentLevels(sign ? { ...feedback, current: SIGN } : feedback, marked, rules);
  const numbers = useMemo(() => paragraphNumbers(submission), [submission]);
  return (
    <>
      <svg ref={rules} className="comment-rules" aria-hidden />
      {sign && (
        <div data-comment={SIGN} className="comment is-sign">
          <SignBeside signs={signs} />
        </div>
      )}
      {theirs.map(({ id, on, authorName, passage, secondLook }) => (
        <section
          key={id}
          data-comment={id}
          className="comment is-others"
          aria-label={`Comment of ${authorName}, paragraph ${paragraphAt(numbers, on.from.block)}`}
        >
          <p className="comment-head">{secondLook ? `${authorName}, second look` : authorName}</p>
          <div className="prose-leaf">
            <PassageView passage={passage} nameOf={() => ''} links={false} />
          </div>
        </section>
      ))}
    </>
  );
}
