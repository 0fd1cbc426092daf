import { compareRanges, isEmptyPassage, type Block, type Passage, type TextRange } from '#core/passage';
import { paragraphAt, paragraphNumbers, wordsOn } from './paragraphs';
import type { Submission } from './submission';
import { passageOfSubmission } from './toPassage';

/** A comment as its reader gets it. */
export interface ReadComment {
  on: TextRange;
  passage: Passage;
  author: string;
}

/** The words that stand around comments where they are written out. */
export interface CommentedWords {
  comments: string;
  summingUp: string;
  paragraph: (number: number) => string;
}

/** In English; what a submission is commented in may be another language. */
export const COMMENTED_IN_ENGLISH: CommentedWords = {
  comments: 'Comments',
  summingUp: 'Summing-up',
  paragraph: (number) => `Paragraph ${number}`,
};

const PLACE_WORDS: Record<string, string> = {
  picture: 'Picture',
  chart: 'Chart',
  formula: 'Formula',
  object: 'Object',
  'text-box': 'Text box',
  page: 'Page',
};

const LONGEST_QUOTE = 90;

const heading = (text: string): Block => ({
  type: 'heading',
  attrs: { level: 2 },
  content: [{ type: 'text', text }],
});
const words = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });

/** Comments in the order of what they are on. */
const inOrder = (comments: readonly ReadComment[]) => [...comments].sort((a, b) => compareRanges(a.on, b.on));

/** Whether more than one person wrote comments: then each is signed. */
const areSigned = (comments: readonly ReadComment[]) =>
  new Set(comments.map(({ author }) => author)).size > 1;

/** What a comment is on, in short: its paragraph and its first words. */
function whereOf(submission: Submission, { on }: ReadComment, out: CommentedWords): string {
  const number = paragraphAt(paragraphNumbers(submission), on.from.block);
  const all = wordsOn(submission, on).replace(/\s+/g, ' ').trim();
  const quote = all.length > LONGEST_QUOTE ? `${all.slice(0, LONGEST_QUOTE).replace(/\s+\S*$/, '')} …` : all;
  return quote === '' ? out.paragraph(number) : `${out.paragraph(number)}, “${quote}”`;
}

const summedUp = (summingUp: Passage, out: CommentedWords): Block[] =>
  isEmptyPassage(summingUp) ? [] : [heading(out.summingUp), ...summingUp.content];

/** The comments as a list to be read without the submission: each with what it is on; then the summing-up. */
export function commentList(
  submission: Submission,
  comments: readonly ReadComment[],
  summingUp: Passage,
  out: CommentedWords,
): Passage {
  const signed = areSigned(comments);
  const items = inOrder(comments).map((comment): Block => {
    const by = signed ? ` (${comment.author})` : '';
    return {
      type: 'listItem',
      content: [words(`${whereOf(submission, comment, out)}${by}`), ...comment.passage.content],
    };
  });
  const list: Block[] =
    items.length > 0 ? [{ type: 'orderedList', attrs: { start: 1 }, content: items }] : [];
  const content = [...list, ...summedUp(summingUp, out)];
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

/** The submission with a number behind each passage that a comment is on, the comments by these numbers beneath, then the summing-up. */
export function commentedPassage(
  submission: Submission,
  comments: readonly ReadComment[],
  summingUp: Passage,
  out: CommentedWords,
): Passage {
  const all = inOrder(comments);
  const signed = areSigned(comments);
  const read = passageOfSubmission(submission, {
    placeWords: ({ place, name }) =>
      place === 'note' ? `[${name}]` : `[${[PLACE_WORDS[place], name].filter(Boolean).join(': ')}]`,
    signs: all.map(({ on }, at) => ({ at: on.to, text: ` [${at + 1}]` })),
  });
  const items = all.map(({ passage, author }): Block => ({
    type: 'listItem',
    content: signed ? [words(`${author}:`), ...passage.content] : passage.content,
  }));
  const notes: Block[] =
    items.length > 0
      ? [heading(out.comments), { type: 'orderedList', attrs: { start: 1 }, content: items }]
      : [];
  return { type: 'doc', content: [...read.content, ...notes, ...summedUp(summingUp, out)] };
}
