import type { CaseSummary } from '#contracts';

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

/** A sort of file that can be dropped on the desk: how it is known, and what is made of it. */
export interface Arrival {
  /** Whether a file is of this sort, by what is in it before what it is called. */
  isOf: (dropped: Dropped) => boolean | Promise<boolean>;
  /** Makes of it what is made of such files. Throws an UnreadableFile, or what the server answers. */
  take: (dropped: Dropped) => Promise<Arrived>;
}

/** Whether a file's name ends in one of some endings, capitals ignored. */
export const endsIn = ({ file }: Pick<Dropped, 'file'>, endings: readonly string[]): boolean =>
  endings.some((ending) => file.name.toLowerCase().endsWith(ending));
