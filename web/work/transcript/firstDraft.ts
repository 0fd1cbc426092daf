import { UnreadableFile } from '#client/api';
import { plainText } from '#core/passage';
import {
  fromLabelled,
  fromLines,
  fromSrt,
  fromVtt,
  isSrt,
  isVtt,
  TooManySpeakers,
  type Speaker,
  type TimedLine,
  type TimedText,
} from '#core/transcript';
import { decodedText, documentKind, documentReaders } from '../../documents';
import { mustFit } from '../../files';

/** Reads what a text says and when, by what is in it. */
function timedText(text: string): TimedText {
  if (isVtt(text)) return fromVtt(text);
  return isSrt(text) ? fromSrt(text) : fromLabelled(text);
}

/**
 * Reads a file in which a recording is written down already, by a machine or somebody: WebVTT, SubRip, plain text or a docx with labels.
 * Throws an UnreadableFile where there are no words in it that can be read, or more speak than a cast can have.
 */
export async function readFirstDraft(file: File): Promise<TimedText> {
  await mustFit(file);
  const bytes = new Uint8Array(await file.arrayBuffer());
  const unread = (why: string) =>
    new UnreadableFile(`${file.name} cannot be read: ${why}. Nothing was taken in.`);
  let text = decodedText(bytes);
  if ((await documentKind(bytes, file.name)) === 'docx') {
    const { document } = await (await documentReaders()).readDocx(bytes, file.name);
    text = plainText(document);
  }
  if (text === null) throw unread('it is neither WebVTT, SubRip, plain text nor a docx');
  const read = timedText(text);
  if (read.lines.length === 0)
    throw unread(read.remarks[0]?.replace(/\.$/, '') ?? 'there are no words in it');
  // Said before anything is begun with it.
  turnsFrom(read.lines, []);
  return read;
}

/** Lines as turns of a cast, with whoever is added to it; throws an UnreadableFile where more speak than it can have. */
export function turnsFrom(lines: readonly TimedLine[], cast: readonly Speaker[]) {
  try {
    return fromLines(lines, cast, () => crypto.randomUUID());
  } catch (error) {
    throw error instanceof TooManySpeakers ? new UnreadableFile(error.message) : error;
  }
}
