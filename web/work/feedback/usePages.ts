import { useEffect, useMemo } from 'react';
import type { Case, CaseSubmission } from '#contracts';
import { pdfReader } from '../../documents';
import { bytesOfFile } from '#client/files';
import type { DrawPage } from './pagePicture';

async function picturesOf(of: string, file: string, name: string) {
  const [{ PdfPictures }, bytes] = await Promise.all([pdfReader(), bytesOfFile(of, file, name)]);
  return PdfPictures.of(bytes, name);
}

/** The pages of a PDF that was handed in: opened once somebody wants to see one, let go of with the leaf or another version. */
export interface Pages {
  draw: DrawPage;
  /** How many there are. */
  count: () => Promise<number>;
}

/** The pages of a file, read once somebody asks; `close` lets go of what was read. */
function pagesOf(of: string, file: string, name: string): { pages: Pages; close: () => void } {
  let opened: ReturnType<typeof picturesOf> | null = null;
  const open = () => {
    // Opened again after it failed once.
    opened ??= picturesOf(of, file, name).catch((error: unknown) => {
      opened = null;
      throw error;
    });
    return opened;
  };
  return {
    pages: {
      draw: async (page, canvas) => (await open()).draw(page, canvas),
      count: async () => (await open()).count,
    },
    close: () => void opened?.then((pictures) => pictures.close()),
  };
}

/** The pages of what was handed in, where it is a PDF; null for anything else. */
export function usePages(
  { id: of, files }: Pick<Case, 'id' | 'files'>,
  handed: CaseSubmission | null,
): Pages | null {
  const { file = null, name = '' } = handed ?? {};
  const isPdf = files.some(({ id, media }) => id === file && media === 'application/pdf');
  const held = useMemo(
    () => (isPdf && file !== null ? pagesOf(of, file, name) : null),
    [of, file, name, isPdf],
  );
  useEffect(() => () => held?.close(), [held]);
  return held?.pages ?? null;
}
