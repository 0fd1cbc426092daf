import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import {
  ARRIVALS_OF_KINDS,
  endsIn,
  titleFrom,
  type Arrival,
  type Arrived,
  type DocumentWork,
  type Dropped,
} from '../work';
import { decodedText, documentReaders, isArchive, listArchive, type ReadDocument } from '../documents';

/** The longest file that is looked into; a longer one is known by its name alone. */
const MOST_BYTES = 50_000_000;

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

/**
 * A file that was dropped: with the sort it is of, null for one that can only be kept; and with what the team's work makes of such
 * documents.
 */
export interface KnownFile {
  dropped: Dropped;
  arrival: Arrival | null;
  works: readonly DocumentWork[];
}

/** The first sort that a file is of. */
async function firstOf(dropped: Dropped): Promise<Arrival | null> {
  for (const one of ARRIVALS) if (await one.isOf(dropped)) return one;
  return null;
}

/** Of what sort a file is. `works`: what the team does with documents. Throws an UnreadableFile where it cannot be looked into. */
export async function knownArrival(file: File, works: readonly DocumentWork[]): Promise<KnownFile> {
  const isLong = file.size > MOST_BYTES;
  const bytes = isLong ? new Uint8Array() : new Uint8Array(await file.arrayBuffer());
  const dropped = { file, bytes, text: isLong || isArchive(bytes) ? null : decodedText(bytes) };
  const own: DocumentWork[] = [];
  for (const one of works) if (await one.isOf(dropped)) own.push(one);
  return { dropped, arrival: await firstOf(dropped), works: own };
}
