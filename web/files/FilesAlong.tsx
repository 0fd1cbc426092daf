import type { ReactNode } from 'react';
import type { EntryFile } from '#core/entry';
import { bytesInWords } from '#core/language';
import { mediaInWords } from './mediaInWords';

interface Props {
  /** What the list is called, for those who hear it. */
  label: string;
  files: readonly EntryFile[];
  /** Where what a file holds is to be had; null for one that is not to be had yet. */
  addressOf: (file: EntryFile) => string | null;
  /** What can be done with a file, behind it. */
  children?: (file: EntryFile) => ReactNode;
}

/** Files that go along with wording, each by its name, with what it is and how large. */
export function FilesAlong({ label, files, addressOf, children }: Props) {
  if (files.length === 0) return null;
  return (
    <ul aria-label={label} className="grid grid-cols-[minmax(0,1fr)] gap-0.5 text-[14px]">
      {files.map((file) => {
        const address = addressOf(file);
        return (
          <li key={file.hash} className="flex min-h-6 max-w-full flex-wrap items-baseline gap-x-3">
            {address === null ? (
              <span className="min-w-0 max-w-[24rem] truncate">{file.name}</span>
            ) : (
              <a
                href={address}
                target="_blank"
                rel="noreferrer"
                className="min-w-0 max-w-[24rem] truncate underline underline-offset-4"
              >
                {file.name}
                <span className="sr-only">, opens in another tab</span>
              </a>
            )}
            <span className="text-soft">
              {mediaInWords(file.media, file.name)}, {bytesInWords(file.bytes, navigator.language)}
            </span>
            {children?.(file)}
          </li>
        );
      })}
    </ul>
  );
}
