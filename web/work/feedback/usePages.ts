import { useEffect, useMemo } from 'react';
import { pathFor, type CaseSubmission } from '#contracts';
import { Unreachable } from '#client/api';
import { pdfReader } from '../../documents';
import type { DrawPage } from './pagePicture';

async function picturesOf(of: string, file: string, name: string) {
  const [{ PdfPictures }, response] = await Promise.all([
    pdfReader(),
    fetch(pathFor('caseFile', { case: of, file })),
  ]);
  if (!response.ok) throw new Unreachable();
  return PdfPictures.of(new Uint8Array(await response.arrayBuffer()), name);
}

/** The pages of a PDF that was handed in: opened once somebody wants to see one, let go of with the leaf or another version. */
export interface Pages {
  draw: DrawPage;
  /** How many there are. */
  count: () => Promise<number>;
}

/** The pages of what was handed in, where it is a PDF; null for anything else. */
export function usePages(of: string, handed: CaseSubmission | null): Pages | null {
  const { file = null, name = '' } = handed ?? {};
  const isPdf = file !== null && /\.pdf$/i.test(name);
  const held = useMemo(() => {
    if (!isPdf) return null;
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
      } satisfies Pages,
      close: () => void opened?.then((pictures) => pictures.close()),
    };
  }, [of, file, name, isPdf]);
  useEffect(() => () => held?.close(), [held]);
  return held?.pages ?? null;
}
