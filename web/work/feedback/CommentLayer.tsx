import type { Editor } from '@tiptap/react';
import { useRef } from 'react';
import type { OthersComments } from '#contracts';
import { paragraphAt, paragraphNumbers, type Submission } from '#core/submission';
import { PassageView } from '../../show';
import type { MarkedPassage } from './reading';
import { useCommentLevels } from './useCommentLevels';
import type { Feedback } from './useFeedback';

interface Props {
  editor: Editor;
  feedback: Feedback;
  submission: Submission;
  others: readonly OthersComments[];
}

/** What belongs beside the submission without being one's own text: hairlines to the comments, and the comments of colleagues. */
export function CommentLayer({ editor, feedback, submission, others }: Props) {
  const rules = useRef<SVGSVGElement>(null);
  const theirs = others.flatMap(({ author, authorName, comments }) =>
    comments.map((comment) => ({ ...comment, id: `${author} ${comment.id}`, authorName })),
  );
  const marked = theirs.map(({ id, on }): MarkedPassage => ({ id, on, isOthers: true }));
  useCommentLevels(editor, feedback, marked, rules);
  const numbers = paragraphNumbers(submission);
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
