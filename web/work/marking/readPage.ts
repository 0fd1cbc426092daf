import type { Case } from '#contracts';
import { UnreadableFile } from '#client/api';
import { sendFile } from '#client/files';
import { pageSources } from '../../documents';
import { mustFit } from '../../files';

/**
 * A file that is to be marked, held in memory: what is saved is what was looked at, whatever becomes of the one on disk. Throws an UnreadableFile in
 * words where it is too large, cannot be read any more, or shows no page.
 */
export async function readPage(file: File): Promise<File> {
  await mustFit(file);
  const bytes = await file.arrayBuffer().catch(() => {
    throw new UnreadableFile(
      `${file.name} could not be read: it was moved, changed or deleted since it was chosen. Nothing was saved; choose it again.`,
    );
  });
  const held = new File([bytes], file.name, { type: file.type });
  (await (await pageSources()).openPages(held)).close();
  return held;
}

/** Saves the page that is to be marked with its case. */
export const savePage = ({ id }: Pick<Case, 'id'>, page: File) =>
  sendFile(id, crypto.randomUUID(), page, {
    progress: () => undefined,
    signal: new AbortController().signal,
  });
