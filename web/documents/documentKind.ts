import { isArchive, listArchive } from './archive';
import { isPdf } from './pdf/isPdf';

/** Documents that are known by what is in them, whatever they are called. */
export type DocumentKind = 'docx' | 'odt' | 'pdf';

/** What sort of document bytes are; null for any other file. `called`: its name, for what is said. Throws an UnreadableFile for a broken archive. */
export async function documentKind(bytes: Uint8Array, called: string): Promise<DocumentKind | null> {
  if (isPdf(bytes)) return 'pdf';
  if (!isArchive(bytes)) return null;
  const names = new Set((await listArchive(bytes, called)).map(({ name }) => name));
  if (names.has('mimetype') && names.has('content.xml')) return 'odt';
  // A workbook or slides are such packages too, without such a folder.
  return [...names].some((name) => name.startsWith('word/')) ? 'docx' : null;
}
