import { Packer } from 'docx';
import { pathFor, type CaseSubmission, type Draft, type Member, type OthersComments } from '#contracts';
import { ForPeople, Unreachable } from '#client/api';
import { toDocx } from '#core/docx';
import { commentsOf, withoutComments } from '#core/draft';
import { toHtmlPage, toMarkdown } from '#core/exchange';
import { finishedPassage } from '#core/fill';
import { isEmptyPassage, type CommentOn, type Passage, type TextRange } from '#core/passage';
import {
  COMMENTED_IN_ENGLISH,
  commentedPassage,
  commentList,
  followedRange,
  NotDocx,
  passageOfSubmission,
  readDocx,
  withComments,
  wordsOfBlock,
  type DocxComment,
  type Submission,
} from '#core/submission';
import { cameAlong } from './cameAlong';
import { withParts, xmlParts } from '../../documents';

/** A comment that goes out, by whoever wrote it. */
interface GoingOut extends Pick<CommentOn, 'on' | 'words' | 'before'> {
  passage: Passage;
  author: string;
  /** When it was saved: an ISO instant. */
  at: string;
}

/** A submission with all that is said of it, as it goes back to whoever handed it in. */
export interface Commented {
  of: string;
  title: string;
  handed: CaseSubmission;
  comments: readonly GoingOut[];
  summingUp: Passage;
  author: string;
  at: string;
}

/** By whom a comment is, as it goes out: a second look is told as one. */
const authorOf = ({ secondLook }: Pick<CommentOn, 'secondLook'>, name: string): string =>
  secondLook ? `${name} (second look)` : name;

/** Puts together what goes out of a submission: one's own comments and summing-up, and the comments of colleagues. */
export function commentedOf(
  of: { id: string; title: string },
  handed: CaseSubmission,
  own: { document: Draft['document']; savedAt: string } | null,
  member: Pick<Member, 'name'>,
  others: readonly OthersComments[],
): Commented {
  const finished = own && finishedPassage(own.document);
  const at = own?.savedAt ?? new Date().toISOString();
  const mine = finished
    ? commentsOf(finished).map((one) => ({ ...one, author: authorOf(one, member.name), at }))
    : [];
  const theirs = others.flatMap(({ authorName, savedAt, comments }) =>
    comments.map((one) => ({
      ...one,
      passage: finishedPassage(one.passage),
      author: authorOf(one, authorName),
      at: savedAt,
    })),
  );
  const all = [...mine, ...theirs].map((one) => ({
    ...one,
    on: followedRange(handed.submission, one) ?? within(handed.submission, one.on),
  }));
  return {
    of: of.id,
    title: of.title,
    handed,
    comments: all,
    summingUp: finished ? withoutComments(finished) : { type: 'doc', content: [{ type: 'paragraph' }] },
    author: member.name,
    at,
  };
}

/** A stretch as near to where it was as a submission goes. */
function within({ blocks }: Submission, { from, to }: TextRange): TextRange {
  const last = Math.max(0, blocks.length - 1);
  const held = ({ block, at }: TextRange['from']) => {
    const index = Math.min(block, last);
    return { block: index, at: Math.min(at, blocks[index] ? wordsOfBlock(blocks[index]).length : 0) };
  };
  return { from: held(from), to: held(to) };
}

/** The first words of a submission: what is said of all of it stands there. */
function firstWords({ blocks }: Submission): TextRange {
  const block = Math.max(
    0,
    blocks.findIndex((one) => wordsOfBlock(one).trim() !== ''),
  );
  return {
    from: { block, at: 0 },
    to: { block, at: blocks[block] ? wordsOfBlock(blocks[block]).length : 0 },
  };
}

const heading = (text: string): Passage['content'][number] => ({
  type: 'paragraph',
  content: [{ type: 'text', text, marks: [{ type: 'bold' }] }],
});

/** What is put into a docx: each comment on its words as they stand there, and the summing-up as a comment on its first ones. */
function commentsIn(submission: Submission, { comments, summingUp, author, at }: Commented): DocxComment[] {
  const own = comments.map((one) => ({
    ...one,
    on: followedRange(submission, one) ?? within(submission, one.on),
  }));
  if (isEmptyPassage(summingUp)) return own;
  const passage: Passage = {
    type: 'doc',
    content: [heading(COMMENTED_IN_ENGLISH.summingUp), ...summingUp.content],
  };
  return [{ on: firstWords(submission), passage, author, at }, ...own];
}

/** The bytes of what was handed in; null where it was pasted, or is no docx. */
async function docxHandedIn({ of, handed }: Commented): Promise<Uint8Array | null> {
  if (handed.file === null || !/\.docx$/i.test(handed.name)) return null;
  const response = await fetch(pathFor('caseFile', { case: of, file: handed.file })).catch(() => null);
  if (response?.status === 404)
    throw new ForPeople(
      `${handed.name} is not among the files of the case any more. Bring it back from the wastebasket.`,
    );
  if (!response?.ok) throw new Unreachable();
  return new Uint8Array(await response.arrayBuffer());
}

/** A docx made of a submission that came in another format. */
async function docxMadeOf({ title, handed }: Commented): Promise<Uint8Array> {
  const passage = passageOfSubmission(handed.submission, {
    placeWords: ({ name }) => name || '▢',
    signs: [],
  });
  const blob = await Packer.toBlob(toDocx(passage, title));
  return new Uint8Array(await blob.arrayBuffer());
}

/**
 * The docx that goes back: the very file that was handed in, with comments in it and all else as it was; where another format came in,
 * one made of it. Throws in words where it cannot be had.
 */
export async function commentedDocx(commented: Commented): Promise<Blob> {
  const bytes = (await docxHandedIn(commented)) ?? (await docxMadeOf(commented));
  const { name } = commented.handed;
  const parts = await xmlParts(bytes, name);
  try {
    const comments = commentsIn(readDocx(parts).submission, commented);
    const out = await withParts(bytes, name, withComments(parts, comments));
    const type = 'application/vnd.openxmlformats-officedocument.wordprocessingml.document';
    return new Blob([out as Uint8Array<ArrayBuffer>], { type });
  } catch (error) {
    if (error instanceof NotDocx) throw new ForPeople(`${name} cannot be read any more: ${error.message}.`);
    throw error;
  }
}

/** The comments as a list, to be pasted where the submission is not. */
export const commentsToPaste = ({ handed, comments, summingUp }: Commented): Passage =>
  commentList(handed.submission, comments, summingUp, COMMENTED_IN_ENGLISH);

/** Comments that came along in the file: a docx has them still, what is made anew must be given them. */
const cameAlongIn = ({ handed }: Commented): GoingOut[] =>
  cameAlong(handed).flatMap(({ authorName, savedAt, comments }) =>
    comments.map((one) => ({ ...one, author: authorName, at: savedAt })),
  );

const whole = (commented: Commented): Passage => {
  const { handed, comments, summingUp } = commented;
  const all = [...cameAlongIn(commented), ...comments];
  return commentedPassage(handed.submission, all, summingUp, COMMENTED_IN_ENGLISH);
};

/** The submission with its comments as numbered notes, in Markdown. */
export const commentedMarkdown = (commented: Commented): string => toMarkdown(whole(commented));

/** The submission with its comments as numbered notes, as a page. `language` is a BCP 47 tag. */
export const commentedPage = (commented: Commented, language: string): string =>
  toHtmlPage(whole(commented), commented.title, language);
