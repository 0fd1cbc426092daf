import { MOST_NAME, type HandedIn } from '#contracts';
import { call, UnreadableFile } from '#client/api';
import { sendFile } from '#client/files';
import { plainPassage } from '#core/passage';
import {
  NotDocx,
  NotOdt,
  readDocx,
  readOdt,
  submissionOfPassage,
  SubmissionSchema,
  wordsInSubmission,
} from '#core/submission';
import { KEYS, queryClient } from '../../api';
import { mustFit } from '../../files';
import { decodedText, documentKind, documentReaders, isArchive, pdfReader, xmlParts } from '../../documents';

type Submission = HandedIn['submission'];

const unread = (file: File, why: string) =>
  new UnreadableFile(`${file.name} cannot be read: ${why}. Nothing was taken in.`);

async function submissionIn(file: File, bytes: Uint8Array): Promise<Submission> {
  const kind = await documentKind(bytes, file.name);
  if (kind === 'pdf') return (await pdfReader()).submissionOfPdf(bytes, file.name);
  if (kind) {
    const parts = await xmlParts(bytes, file.name);
    return kind === 'odt' ? readOdt(parts) : readDocx(parts).submission;
  }
  if (isArchive(bytes)) throw unread(file, 'it is no document of Word or OpenDocument');
  // An encrypted document of Word is a compound file (MS-CFB), as are those of Word 97.
  if (bytes[0] === 0xd0 && bytes[1] === 0xcf)
    throw unread(
      file,
      'it is locked with a password, or of a Word before 2007. Save it as a docx without one',
    );
  const text = decodedText(bytes);
  if (text === null) throw unread(file, 'it is neither a docx, an ODT, a PDF, Markdown nor plain text');
  if (!/\.(md|markdown)$/i.test(file.name)) return submissionOfPassage(plainPassage(text.trim()));
  const { passageOfMarkdown } = await documentReaders();
  return submissionOfPassage((await passageOfMarkdown(text)).passage);
}

/** Whether there is neither a word in it nor a page to look at. */
const isBare = (submission: Submission): boolean =>
  wordsInSubmission(submission) === 0 &&
  !submission.blocks.some(({ spans }) => spans.some((span) => 'place' in span && span.place === 'page'));

/** Reads a file that was handed in: docx, ODT, PDF, Markdown or plain text. Throws an UnreadableFile in words. */
export async function readSubmission(file: File): Promise<Submission> {
  // Before it is read: a file of hundreds of megabytes would fill the page, and be refused after all.
  await mustFit(file);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const submission = await submissionIn(file, bytes).catch((error: unknown) => {
    if (error instanceof NotDocx || error instanceof NotOdt) throw unread(file, error.message);
    throw error;
  });
  const checked = SubmissionSchema.safeParse(submission);
  if (!checked.success) throw unread(file, checked.error.issues[0]?.message ?? 'it is too large');
  if (isBare(submission)) throw unread(file, 'there is nothing in it');
  return submission;
}

/** Takes a file in as the submission of a case, and keeps the file itself with it. Throws in words where it cannot. */
export async function takeIn(of: string, file: File): Promise<void> {
  await takeInRead(of, file, await readSubmission(file));
}

/** Takes a file in that was read already. */
export async function takeInRead(of: string, file: File, submission: Submission): Promise<void> {
  const kept = await sendFile(of, crypto.randomUUID(), file, {
    progress: () => undefined,
    signal: new AbortController().signal,
  });
  await handIn(of, { submission, name: file.name.slice(0, MOST_NAME), file: kept.id });
}

/** Takes words in that were pasted, as the submission of a case. Throws an UnreadableFile where there are none. */
export async function takeInPasted(of: string, words: string): Promise<void> {
  const submission = submissionOfPassage(plainPassage(words.trim()));
  if (wordsInSubmission(submission) === 0)
    throw new UnreadableFile('There are no words to take in. Copy the text, and paste it here.');
  await handIn(of, { submission, name: 'Pasted text', file: null });
}

async function handIn(of: string, body: HandedIn): Promise<void> {
  await call('handIn', { params: { case: of }, body });
  await queryClient.invalidateQueries({ queryKey: KEYS.case(of) });
}
