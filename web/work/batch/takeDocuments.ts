import { ForPeople, UnreadableFile } from '#client/api';
import { sendFile } from '#client/files';
import { TABLE_LIMITS, type Table } from '#core/batch';
import { NotDocx, paragraphsOf } from '#core/submission';
import { documentKind, filesPacked, xmlParts } from '../../documents';

/** Documents that were read as rows, each with its file. */
export interface DocumentRows {
  table: Table;
  files: readonly File[];
}

const MOST_TOLD = 2000;

/** The files among those given that are Word documents, those within archives too. */
async function documentsAmong(files: readonly File[]): Promise<File[]> {
  const found: File[] = [];
  for (const file of files) for (const one of (await filesPacked(file)) ?? [file]) found.push(one);
  return found;
}

/**
 * Word documents as a table: a row for each, by its name and what it says. Null where a file is none: it is a table then.
 * Throws an UnreadableFile where one is broken.
 */
export async function documentRows(given: readonly File[]): Promise<DocumentRows | null> {
  const files: File[] = [];
  const rows: string[][] = [];
  for (const file of await documentsAmong(given)) {
    const bytes = new Uint8Array(await file.arrayBuffer());
    if ((await documentKind(bytes, file.name)) !== 'docx') return null;
    try {
      const words = paragraphsOf(await xmlParts(bytes, file.name)).join('\n');
      rows.push([file.name.replace(/\.docx$/i, ''), words.slice(0, MOST_TOLD)]);
    } catch (error) {
      if (!(error instanceof NotDocx)) throw error;
      throw new UnreadableFile(`${file.name} cannot be read: ${error.message}. Nothing was taken in.`);
    }
    files.push(file);
  }
  if (files.length > TABLE_LIMITS.rows) throw new ForPeople('These are more documents than a batch takes.');
  return files.length === 0 ? null : { table: { heads: ['Document', 'Text'], rows, remarks: [] }, files };
}

/** Keeps a document with the case of a batch; gives the id of its file. */
export async function keepDocument(of: string, file: File): Promise<string> {
  const id = crypto.randomUUID();
  await sendFile(of, id, file, { progress: () => undefined, signal: new AbortController().signal });
  return id;
}
