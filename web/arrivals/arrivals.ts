import type { CaseSummary } from '#contracts';
import { call, UnreadableFile, readJson } from '#client/api';
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
  /** How its name ends, for choosing a file. */
  endings: readonly string[];
  /** Whether a file is of this kind, by what is in it before what it is called. */
  isOf: (dropped: Dropped) => boolean | Promise<boolean>;
  /** Makes of it what is made of such files. Throws an UnreadableFile, or what the server answers. */
  take: (dropped: Dropped) => Promise<Arrived>;
}

/** The longest file that is looked into. */
const MOST_BYTES = 50_000_000;

const endsIn = ({ file }: Dropped, endings: readonly string[]) =>
  endings.some((ending) => file.name.toLowerCase().endsWith(ending));

/** What a leaf begun with a file is called: as the file is, without its ending. */
const titleFrom = ({ name }: File): string =>
  name
    .replace(/\.[^.]{1,8}$/, '')
    .trim()
    .slice(0, 200);

/** Begins a leaf with a document on it. */
async function leafWith(file: File, { document, remarks }: ReadDocument): Promise<Arrived> {
  const body = {
    ...{ id: crypto.randomUUID(), kind: 'leaf' as const, title: titleFrom(file), number: null },
    ...{ details: [], given: [], document },
  };
  return { case: await call('makeCase', { body }), remarks };
}

/** All kinds of files that can be dropped on the desk; a file is of the first that knows it. */
export const ARRIVALS: readonly Arrival[] = [
  {
    endings: ['.docx'],
    isOf: async ({ file, bytes }) =>
      isArchive(bytes) &&
      (await listArchive(bytes, file.name)).some(({ name }) => name === 'word/document.xml'),
    take: async ({ file, bytes }) => leafWith(file, await (await readers()).readDocx(bytes, file.name)),
  },
  {
    endings: ['.json'],
    isOf: (dropped) => endsIn(dropped, ['.json']) || /^\s*\{\s*"/.test(dropped.text ?? ''),
    take: async ({ file }) => call('takeBundle', { body: await readJson(file, 'No case was made.') }),
  },
  {
    endings: ['.md', '.markdown'],
    isOf: (dropped) => dropped.text !== null && endsIn(dropped, ['.md', '.markdown']),
    take: async ({ file, text }) => leafWith(file, await (await readers()).readMarkdown(text!, file.name)),
  },
  {
    endings: ['.txt', '.text'],
    isOf: ({ text }) => text !== null,
    take: async ({ file, text }) => leafWith(file, (await readers()).readText(text!, file.name)),
  },
];

/** What is taken of a file that was dropped. Throws an UnreadableFile where nothing takes it, or what its reader throws. */
export async function takeArrival(file: File): Promise<Arrived> {
  if (file.size > MOST_BYTES)
    throw new UnreadableFile(
      `${file.name} is larger than ${MOST_BYTES / 1_000_000} MB. Nothing was made of it.`,
    );
  const bytes = new Uint8Array(await file.arrayBuffer());
  const dropped = { file, bytes, text: isArchive(bytes) ? null : textOf(bytes) };
  for (const arrival of ARRIVALS) if (await arrival.isOf(dropped)) return arrival.take(dropped);
  throw new UnreadableFile(`Nothing here can read ${file.name} yet. Nothing was made of it.`);
}
