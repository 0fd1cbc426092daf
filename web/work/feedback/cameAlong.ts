import type { CaseSubmission, OthersComments } from '#contracts';
import { plainPassage } from '#core/passage';
import { wordsBefore, wordsOn } from '#core/submission';

/** Comments that came along in the file that was handed in, as those of colleagues: of each author, in their order. */
export function cameAlong({ submission, takenAt }: CaseSubmission): OthersComments[] {
  const byAuthor = new Map<string, OthersComments>();
  submission.comments.forEach(({ author, text, on }, index) => {
    const known = byAuthor.get(author) ?? {
      ...{ author: `in the file: ${author}`, authorName: author === '' ? 'In the file' : author },
      ...{ savedAt: takenAt, finished: true, comments: [] },
    };
    byAuthor.set(author, known);
    known.comments.push({
      ...{
        id: `along-${index}`,
        on,
        words: wordsOn(submission, on),
        before: wordsBefore(submission, on.from),
      },
      passage: plainPassage(text),
    });
  });
  return [...byAuthor.values()];
}
