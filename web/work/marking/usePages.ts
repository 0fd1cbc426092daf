import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Case, CaseFile } from '#contracts';
import { bytesOfFile } from '#client/files';
import { pageSources } from '../../documents';

const MARKED = /^(?:application\/pdf|image\/(?:png|jpeg|webp|gif|tiff))$/;

/** The file of a case that is marked: the first that has pages; null for none. */
export const markedFile = ({ files }: Pick<Case, 'files'>): CaseFile | null =>
  files.find(({ media }) => MARKED.test(media)) ?? null;

/** The pages of a file of a case, open for as long as they are shown. */
export function usePages(of: string, file: CaseFile | null) {
  const found = useQuery({
    queryKey: ['pages', of, file?.id],
    queryFn: async () => {
      const bytes = await bytesOfFile(of, file!.id, file!.name);
      const { openPages } = await pageSources();
      return openPages(new File([bytes as BlobPart], file!.name, { type: file!.media }));
    },
    enabled: file !== null,
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
    structuralSharing: false,
  });
  const source = found.data;
  useEffect(() => () => source?.close(), [source]);
  return found;
}
