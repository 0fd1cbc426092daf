import { unzipSync, zipSync, type Unzipped, type Zippable } from 'fflate';
import { UnreadableFile } from '#client/api';

/** What a file may unpack to at the most, and into how many: a small file can be made to unpack to a thousand times its size. */
export const ARCHIVE_LIMITS = { bytes: 100_000_000, files: 5000 } as const;

/** A file within an archive, as the archive says before anything is unpacked. */
export interface Packed {
  name: string;
  /** Unpacked, in bytes. */
  size: number;
}

const SIGNATURE = [0x50, 0x4b, 0x03, 0x04];

/** Whether bytes are a zip archive, which a docx is too. */
export const isArchive = (bytes: Uint8Array): boolean => SIGNATURE.every((byte, at) => bytes[at] === byte);

/** A turn for the page, so that it draws what was said before the work begins. */
const turn = () => new Promise<void>((resolve) => setTimeout(resolve));

/** Unpacks what a filter lets through. On the page itself: the library's own workers are made of text, which the page's policy forbids. */
async function unpacked(bytes: Uint8Array, filter: (file: Packed) => boolean): Promise<Unzipped> {
  await turn();
  return unzipSync(bytes, { filter: ({ name, originalSize }) => filter({ name, size: originalSize }) });
}

/** What an archive says that it holds. Nothing is unpacked. Throws an UnreadableFile where it is broken. */
export async function listArchive(bytes: Uint8Array, called: string): Promise<Packed[]> {
  const found: Packed[] = [];
  try {
    await unpacked(bytes, (file) => {
      found.push(file);
      return false;
    });
  } catch {
    throw new UnreadableFile(`${called} is broken and cannot be unpacked. Nothing was made of it.`);
  }
  return found;
}

/** Of a dropped archive so many files are looked at at once: more are asked for in parts. */
export const MOST_DROPPED = 200;

/** What mail programs call the mails that they save. */
export const IS_MAIL = /\.(eml|mbox)$/i;

/** What programs put into archives beside the files that somebody packed. */
const isBeside = (name: string) =>
  name.endsWith('/') || /(^|\/)(__MACOSX\/|\.(?!\.?\/)|Thumbs\.db$|desktop\.ini$)/i.test(name);
/** A document that is an archive within: of Office Open XML, OpenDocument or EPUB. */
const isDocument = (listed: readonly Packed[]) =>
  listed.some(({ name }) => ['[Content_Types].xml', 'word/document.xml', 'mimetype'].includes(name));

/** Whether an archive is locked: the first bit of its first file's flags (APPNOTE 4.4.4). */
const isLocked = (bytes: Uint8Array) => (bytes[6]! & 1) === 1;

const unpackedFiles = async (bytes: Uint8Array, called: string): Promise<Unzipped> =>
  unpacked(bytes, ({ name }) => !isBeside(name)).catch(() => {
    throw new UnreadableFile(`${called} is broken and cannot be unpacked. Nothing was made of it.`);
  });

/**
 * The files that somebody packed into an archive, each by the last part of its path, whatever folders it names; null where the
 * file is no archive, or a document that is one within. Throws an UnreadableFile where it is locked, broken, or holds too much.
 */
export async function filesPacked(file: File): Promise<File[] | null> {
  const head = new Uint8Array(await file.slice(0, 8).arrayBuffer());
  if (!isArchive(head)) return null;
  const bytes = new Uint8Array(await file.arrayBuffer());
  const listed = await listArchive(bytes, file.name);
  if (isDocument(listed)) return null;
  const wanted = listed.filter(({ name }) => !isBeside(name));
  if (isLocked(bytes))
    throw new UnreadableFile(
      `${file.name} is locked with a password. Nothing was made of it; unpack it first.`,
    );
  if (wanted.length === 0) throw new UnreadableFile(`${file.name} holds no files. Nothing was made of it.`);
  if (wanted.length > MOST_DROPPED)
    throw new UnreadableFile(
      `${file.name} holds ${wanted.length.toLocaleString()} files, and ${MOST_DROPPED} are the most at once. Nothing was made of it; unpack it and drop some of them.`,
    );
  if (wanted.reduce((sum, { size }) => sum + size, 0) > ARCHIVE_LIMITS.bytes)
    throw new UnreadableFile(
      `${file.name} would unpack to more than ${ARCHIVE_LIMITS.bytes / 1_000_000} MB. Nothing was made of it; unpack it and drop some of its files.`,
    );
  const files = await unpackedFiles(bytes, file.name);
  return Object.entries(files).map(([name, content]) => new File([content], name.split(/[\\/]/).at(-1)!));
}

/** Unpacks the files of an archive that are wanted. Throws an UnreadableFile where it holds too much, or more than it says. */
async function unpackedWithin(
  bytes: Uint8Array,
  called: string,
  wanted: (name: string) => boolean,
): Promise<Unzipped> {
  const listed = (await listArchive(bytes, called)).filter(({ name }) => wanted(name));
  const size = listed.reduce((sum, file) => sum + file.size, 0);
  if (listed.length > ARCHIVE_LIMITS.files || size > ARCHIVE_LIMITS.bytes)
    throw new UnreadableFile(
      `${called} would unpack to more than ${ARCHIVE_LIMITS.bytes / 1_000_000} MB or ${ARCHIVE_LIMITS.files.toLocaleString()} files. Nothing was made of it.`,
    );
  try {
    return await unpacked(bytes, ({ name }) => wanted(name));
  } catch {
    throw new UnreadableFile(`${called} is broken and cannot be unpacked. Nothing was made of it.`);
  }
}

/** Packs files into an archive, in the order given. */
export async function zipped(files: Zippable): Promise<Uint8Array> {
  await turn();
  return zipSync(files);
}

/**
 * The files of an archive that are wanted, packed again without compression: what reads them then meets no more than what was
 * measured here. Throws an UnreadableFile where it holds too much, or more than it says.
 */
export async function repacked(
  bytes: Uint8Array,
  called: string,
  wanted: (name: string) => boolean,
): Promise<Uint8Array> {
  const files = await unpackedWithin(bytes, called, wanted);
  return zipped(
    Object.fromEntries(Object.entries(files).map(([name, content]) => [name, [content, { level: 0 }]])),
  );
}

/** The XML parts of a document that is an archive, by their names, as text: byte order marks stay. Throws an UnreadableFile. */
export async function xmlParts(bytes: Uint8Array, called: string): Promise<Map<string, string>> {
  const files = await unpackedWithin(bytes, called, (name) => /\.(xml|rels)$/i.test(name));
  const decoder = new TextDecoder('utf-8', { ignoreBOM: true });
  return new Map(Object.entries(files).map(([name, content]) => [name, decoder.decode(content)]));
}

/** The text files of an archive by their paths, but for what programs put beside them. Throws an UnreadableFile. */
export async function textFiles(bytes: Uint8Array, called: string): Promise<Map<string, string>> {
  const files = await unpackedWithin(bytes, called, (name) => /\.txt$/i.test(name) && !isBeside(name));
  const decoder = new TextDecoder();
  return new Map(Object.entries(files).map(([name, content]) => [name, decoder.decode(content)]));
}

/** The mails of an archive (RFC 5322, mbox), by the endings of their names; none where there are none. Throws an UnreadableFile. */
export async function mailFiles(bytes: Uint8Array, called: string): Promise<Uint8Array[]> {
  const files = await unpackedWithin(bytes, called, (name) => IS_MAIL.test(name) && !isBeside(name));
  return Object.values(files);
}

/** An archive with some of its files written anew, or added, and all others as they are. Throws an UnreadableFile. */
export async function withParts(
  bytes: Uint8Array,
  called: string,
  changed: ReadonlyMap<string, string>,
): Promise<Uint8Array> {
  const files = await unpackedWithin(bytes, called, () => true);
  const encoder = new TextEncoder();
  const all = Object.fromEntries([...changed].map(([name, text]) => [name, encoder.encode(text)]));
  return zipped({ ...files, ...all });
}
