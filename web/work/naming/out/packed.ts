import { FILE_FORMATS } from '#core/exchange';
import { Zip, ZipPassThrough } from 'fflate';
import type { TrayLine } from '#contracts';
import { ForPeople } from '#client/api';
import type { TrayFiles } from '../here/trayFiles';

const PIECE = 1024 * 1024;

/**
 * Files with their new names in one archive (zip), in their folders. Written piece by piece and not made smaller: scans are packed within.
 * `tell` hears how many are in it. Throws in words where a file cannot be read; then there is no archive.
 */
export async function packed(
  lines: readonly TrayLine[],
  files: TrayFiles,
  tell: (count: number) => void,
): Promise<Blob> {
  const pieces: BlobPart[] = [];
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    pieces.push(piece);
  });
  for (const [at, line] of lines.entries()) {
    const file = await files.file(line).catch(() => null);
    if (!file)
      throw new ForPeople(
        `${line.name} is not open on this computer. Nothing was packed: open it, or take it out.`,
      );
    const entry = new ZipPassThrough(
      `${line.folder === '' ? '' : `${line.folder}/`}${line.newName ?? line.name}`,
    );
    entry.mtime = new Date(Math.max(file.lastModified, Date.UTC(1980, 0, 2)));
    zip.add(entry);
    for (let from = 0; from < file.size; from += PIECE)
      entry.push(new Uint8Array(await file.slice(from, from + PIECE).arrayBuffer()));
    entry.push(new Uint8Array(), true);
    tell(at + 1);
  }
  zip.end();
  return new Blob(pieces, { type: FILE_FORMATS.zip.media });
}
