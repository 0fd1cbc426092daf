import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { ARRIVALS_OF_KINDS, endsIn, type Arrival, type Arrived, type Dropped } from '../work';
import { decodedText, documentReaders, isArchive, listArchive, type ReadDocument } from '../documents';

/** The longest file that is looked into; a longer one is kept as it is. */
const MOST_BYTES = 50_000_000;

/** What a leaf or case begun with a file is called: as the file is, without its ending. */
export const titleFrom = ({ name }: File): string =>
  name
    .replace(/\.[^.]{1,8}$/, '')
    .trim()
    .slice(0, 200);

/** Begins a leaf with a document on it. */
async function leafWith(file: File, { document, remarks }: ReadDocument): Promise<Arrived> {
  const body = newLeaf({ title: titleFrom(file), document });
  return { cases: [{ case: await call('makeCase', { body }), news: null }], remarks };
}

/** All sorts of files that can be dropped on the desk: what kinds of work take, and what a leaf can begin with. A file is of the first that knows it. */
const ARRIVALS: readonly Arrival[] = [
  {
    isOf: async ({ file, bytes }) =>
      isArchive(bytes) &&
      (await listArchive(bytes, file.name)).some(({ name }) => name === 'word/document.xml'),
    take: async ([one]) =>
      leafWith(one!.file, await (await documentReaders()).readDocx(one!.bytes, one!.file.name)),
  },
  ...ARRIVALS_OF_KINDS,
  {
    isOf: (dropped) => dropped.text !== null && endsIn(dropped, ['.md', '.markdown']),
    take: async ([one]) =>
      leafWith(one!.file, await (await documentReaders()).readMarkdown(one!.text!, one!.file.name)),
  },
  {
    // A table, an e-mail or a page is words too, and more: it is no text to be written on.
    isOf: (dropped) =>
      dropped.text !== null && (endsIn(dropped, ['.txt', '.text']) || !/\.[^.]+$/.test(dropped.file.name)),
    take: async ([one]) =>
      leafWith(one!.file, (await documentReaders()).readText(one!.text!, one!.file.name)),
  },
];

/** A file that was dropped, with the sort it is of; null for a sort that no kind of work takes, so that it can only be kept. */
export type KnownFile = { file: File; dropped: Dropped; arrival: Arrival } | { file: File; arrival: null };

/** Of what sort a file is. Throws an UnreadableFile where it cannot be looked into. */
export async function knownArrival(file: File): Promise<KnownFile> {
  if (file.size > MOST_BYTES) return { file, arrival: null };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const dropped = { file, bytes, text: isArchive(bytes) ? null : decodedText(bytes) };
  for (const arrival of ARRIVALS) if (await arrival.isOf(dropped)) return { file, dropped, arrival };
  return { file, arrival: null };
}
