import { pathFor, type CollectionFile } from '#contracts';
import type { EntryFile } from '#core/entry';
import type { TakeOverBody } from '#core/takeover';
import { bytesInWords } from '#core/language';
import { call, ForPeople, Unreachable } from '#client/api';
import { sendEntryFile } from './sendFile';

/** What goes along with the entries of a file comes to so much at the most: all of it is in memory once. */
export const MOST_ALONG_BYTES = 100_000_000;

/** The files that entries hold, each once, with an entry to have it from. */
function filesOf(
  entries: readonly CollectionFile['entries'][number][],
): { entry: string; file: EntryFile }[] {
  const byHash = new Map<string, { entry: string; file: EntryFile }>();
  for (const { id, content } of entries)
    for (const file of content.files ?? [])
      if (!byHash.has(file.hash)) byHash.set(file.hash, { entry: id, file });
  return [...byHash.values()];
}

/** Bytes as Base64 (RFC 4648): by the browser's own reader, which takes any length. */
const toBase64 = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    // A data URL: what it holds stands behind its first comma.
    reader.onload = () => resolve((reader.result as string).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(reader.error ?? new Error('It could not be read.'));
    reader.readAsDataURL(blob);
  });

/** The bytes that Base64 stands for; null where it is none. */
function fromBase64(data: string): Uint8Array<ArrayBuffer> | null {
  let signs: string;
  try {
    signs = atob(data);
  } catch {
    return null;
  }
  const bytes = new Uint8Array(signs.length);
  for (let at = 0; at < signs.length; at += 1) bytes[at] = signs.charCodeAt(at);
  return bytes;
}

/**
 * A collection with all in it, as the file that another team takes over: what goes along with its entries is in it. Throws in
 * words where that is too much for one file.
 */
export async function collectionToHandOn(collection: string): Promise<CollectionFile> {
  return withFilesAlong(await call('handOn', { params: { collection } }));
}

/** A file of entries with the files that go along with them. Throws in words where that is too much for one file. */
export async function withFilesAlong(file: CollectionFile): Promise<CollectionFile> {
  const along = filesOf(file.entries);
  const bytes = along.reduce((sum, one) => sum + one.file.bytes, 0);
  if (bytes > MOST_ALONG_BYTES)
    throw new ForPeople(
      `The attached files have ${bytesInWords(bytes, navigator.language)}, and ${bytesInWords(MOST_ALONG_BYTES, navigator.language)} is the most. Nothing was made; save the collections inside it one by one.`,
    );
  const files: NonNullable<CollectionFile['files']> = [];
  for (const { entry, file: one } of along) {
    const response = await fetch(pathFor('entryFile', { entry, hash: one.hash })).catch(() => null);
    if (!response?.ok) throw new Unreachable();
    files.push({ hash: one.hash, data: await toBase64(await response.blob()) });
  }
  return files.length > 0 ? { ...file, files } : file;
}

/**
 * Sends the files that go along with what is taken over, so that its entries can hold them. Those the file does not bring are
 * left to what is here already. Throws in words where one is not what the file says it is.
 */
export async function sendFilesAlong(
  { files = [] }: Pick<CollectionFile, 'files'>,
  { entries }: Pick<TakeOverBody, 'entries'>,
): Promise<void> {
  const data = new Map(files.map((one) => [one.hash, one.data]));
  const never = new AbortController().signal;
  for (const { file } of filesOf(entries)) {
    const brought = data.get(file.hash);
    if (brought === undefined) continue;
    const damaged = new ForPeople(`${file.name} is damaged in this file. Nothing was brought in.`);
    const bytes = fromBase64(brought);
    if (!bytes) throw damaged;
    const told = { progress: () => undefined, signal: never };
    const sent = await sendEntryFile(new File([bytes], file.name), told);
    if (sent.hash !== file.hash) throw damaged;
  }
}
