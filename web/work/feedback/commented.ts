import { Packer } from 'docx';
import { type CaseSubmission, type Draft, type Member, type OthersComments } from '#contracts';
import { ForPeople } from '#client/api';
import { toDocx } from '#core/docx';
import { commentsOf, withoutComments } from '#core/draft';
import { writtenAs } from '#core/exchange';
import { finishedPassage } from '#core/fill';
import { isEmptyPassage, plainText, type CommentOn, type Passage, type TextRange } from '#core/passage';
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
import { bytesOfFile, fileOf } from '#client/files';
import { documentKind, pdfWriter, withParts, xmlParts } from '../../documents';

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

/** What is put into a file: each comment on its words as they stand there, and the summing-up as a comment on its first ones, or on the whole. */
function commentsFor(
  submission: Submission,
  { comments, summingUp, author, at }: Commented,
): { own: DocxComment[]; whole: Passage | null; author: string; at: string } {
  const own = comments.map((one) => ({
    ...one,
    on: followedRange(submission, one) ?? within(submission, one.on),
  }));
  if (isEmptyPassage(summingUp)) return { own, whole: null, author, at };
  const content = [heading(COMMENTED_IN_ENGLISH.summingUp), ...summingUp.content];
  return { own, whole: { type: 'doc', content }, author, at };
}

function docxComments(submission: Submission, commented: Commented): DocxComment[] {
  const { own, whole, author, at } = commentsFor(submission, commented);
  return whole ? [{ on: firstWords(submission), passage: whole, author, at }, ...own] : own;
}

/** A docx made of a submission that came in another format. */
async function docxMadeOf({ title, handed }: Commented): Promise<Uint8Array> {
  const passage = passageOfSubmission(handed.submission, {
    placeWords: ({ place, name }) => (place === 'page' ? `[Page ${name}]` : name || '▢'),
    signs: [],
  });
  const blob = await Packer.toBlob(toDocx(passage, title));
  return new Uint8Array(await blob.arrayBuffer());
}

/** A docx with comments in it and all else as it was. */
async function withCommentsIn(bytes: Uint8Array, commented: Commented): Promise<Blob> {
  const { name } = commented.handed;
  const parts = await xmlParts(bytes, name);
  try {
    const comments = docxComments(readDocx(parts).submission, commented);
    const out = await withParts(bytes, name, withComments(parts, comments));
    return fileOf('docx', out);
  } catch (error) {
    if (error instanceof NotDocx) throw new ForPeople(`${name} cannot be read any more: ${error.message}.`);
    throw error;
  }
}

/** A PDF with comments in it as annotations, and all else as it was. */
async function annotated(bytes: Uint8Array, commented: Commented): Promise<Blob> {
  const { annotatedPdf } = await pdfWriter();
  const out = await annotatedPdf(bytes, commented.handed.name, (submission) => {
    const { own, whole, author, at } = commentsFor(submission, commented);
    const all = own.map(({ passage, ...one }) => ({ ...one, text: plainText(passage) }));
    return whole ? [{ on: null, text: plainText(whole), author, at }, ...all] : all;
  });
  return fileOf('pdf', out);
}

/** What goes back: its bytes, and the ending of its name. */
export interface CommentedFile {
  blob: Blob;
  ending: 'docx' | 'pdf';
}

/**
 * What goes back: the very docx or PDF that was handed in, with comments in it and all else as it was; where another format came in, a
 * docx made of it. Throws in words where it cannot be had.
 */
export async function commentedFile(commented: Commented): Promise<CommentedFile> {
  const { file, name } = commented.handed;
  const bytes = file === null ? null : await bytesOfFile(commented.of, file, name);
  const kind = bytes && (await documentKind(bytes, name));
  if (kind === 'pdf') return { blob: await annotated(bytes!, commented), ending: 'pdf' };
  const docx = kind === 'docx' ? bytes! : await docxMadeOf(commented);
  return { blob: await withCommentsIn(docx, commented), ending: 'docx' };
}

/** A docx made of what was handed in, with comments in it: for who cannot use the format that it came in. */
export const commentedDocx = async (commented: Commented): Promise<Blob> =>
  withCommentsIn(await docxMadeOf(commented), commented);

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

/** The submission with its comments as numbered notes, as a text of a format. `language` is a BCP 47 tag. */
export const commentedText = (commented: Commented, format: 'markdown' | 'html', language: string): string =>
  writtenAs(format, whole(commented), { title: commented.title, language });
