import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { ARRIVALS_OF_KINDS, endsIn, type Arrival, type Arrived } from '../work';
import { isArchive, listArchive } from './archive';
import type { ReadDocument } from './readers';
import { textOf } from './textOf';

// With the editor's schema and the libraries that read documents: nobody needs it who only looks at the desk.
const readers = () => import('./readers');

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
  return { case: await call('makeCase', { body }), remarks };
}

/** All sorts of files that can be dropped on the desk: what kinds of work take, and what a leaf can begin with. A file is of the first that knows it. */
const ARRIVALS: readonly Arrival[] = [
  {
    isOf: async ({ file, bytes }) =>
      isArchive(bytes) &&
      (await listArchive(bytes, file.name)).some(({ name }) => name === 'word/document.xml'),
    take: async ({ file, bytes }) => leafWith(file, await (await readers()).readDocx(bytes, file.name)),
  },
  ...ARRIVALS_OF_KINDS,
  {
    isOf: (dropped) => dropped.text !== null && endsIn(dropped, ['.md', '.markdown']),
    take: async ({ file, text }) => leafWith(file, await (await readers()).readMarkdown(text!, file.name)),
  },
  {
    // A table, an e-mail or a page is words too, and more: it is no text to be written on.
    isOf: (dropped) =>
      dropped.text !== null && (endsIn(dropped, ['.txt', '.text']) || !/\.[^.]+$/.test(dropped.file.name)),
    take: async ({ file, text }) => leafWith(file, (await readers()).readText(text!, file.name)),
  },
];

/** What is taken of a file that was dropped; null where no kind of work takes it, so that it can only be kept. Throws what its reader throws. */
export async function takeArrival(file: File): Promise<Arrived | null> {
  if (file.size > MOST_BYTES) return null;
  const bytes = new Uint8Array(await file.arrayBuffer());
  const dropped = { file, bytes, text: isArchive(bytes) ? null : textOf(bytes) };
  for (const arrival of ARRIVALS) if (await arrival.isOf(dropped)) return arrival.take(dropped);
  return null;
}
