import type { CaseSummary } from '#contracts';
import { call, readJson } from '#client/api';
import { newLeaf } from '#client/cases';
import { isArchive, listArchive } from './archive';
import type { ReadDocument } from './readers';
import { textOf } from './textOf';

// With the editor's schema and the libraries that read documents: nobody needs it who only looks at the desk.
const readers = () => import('./readers');

/** A file that was dropped, with its bytes. */
export interface Dropped {
  file: File;
  bytes: Uint8Array;
  /** Its words, where it is text. */
  text: string | null;
}

/** What became of a file. */
export interface Arrived {
  case: CaseSummary;
  remarks: readonly string[];
}

/** One kind of file that can be dropped on the desk: how it is known, and what is made of it. */
interface Arrival {
  /** Whether a file is of this kind, by what is in it before what it is called. */
  isOf: (dropped: Dropped) => boolean | Promise<boolean>;
  /** Makes of it what is made of such files. Throws an UnreadableFile, or what the server answers. */
  take: (dropped: Dropped) => Promise<Arrived>;
}

/** The longest file that is looked into; a longer one is kept as it is. */
const MOST_BYTES = 50_000_000;

const endsIn = ({ file }: Dropped, endings: readonly string[]) =>
  endings.some((ending) => file.name.toLowerCase().endsWith(ending));

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

/** All kinds of files that can be dropped on the desk; a file is of the first that knows it. */
const ARRIVALS: readonly Arrival[] = [
  {
    isOf: async ({ file, bytes }) =>
      isArchive(bytes) &&
      (await listArchive(bytes, file.name)).some(({ name }) => name === 'word/document.xml'),
    take: async ({ file, bytes }) => leafWith(file, await (await readers()).readDocx(bytes, file.name)),
  },
  {
    isOf: (dropped) => endsIn(dropped, ['.json']) || /^\s*\{\s*"/.test(dropped.text ?? ''),
    take: async ({ file }) => call('takeBundle', { body: await readJson(file, 'No case was made.') }),
  },
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
