import type { CaseSummary } from '#contracts';

/** A file that was dropped, with its bytes. */
export interface Dropped {
  file: File;
  bytes: Uint8Array;
  /** Its words, where it is text. */
  text: string | null;
}

/** A case that came of files. */
export interface ArrivedCase {
  case: CaseSummary;
  /** Where the case was here before, what is new in it, a sentence each; null for a case that was made. */
  news: readonly string[] | null;
}

/** What became of files. */
export interface Arrived {
  cases: readonly ArrivedCase[];
  remarks: readonly string[];
}

/** A sort of file that can be dropped on the desk: how it is known, and what is made of it. */
export interface Arrival {
  /** Whether a file is of this sort, by what is in it before what it is called. */
  isOf: (dropped: Dropped) => boolean | Promise<boolean>;
  /** Whether files dropped at once belong together: a record may come in several. */
  areOne?: true;
  /** Makes of files what is made of such files: of one, or of all that belong together. Throws an UnreadableFile, or what the server answers. */
  take: (dropped: readonly Dropped[]) => Promise<Arrived>;
}

/** Whether a file's name ends in one of some endings, capitals ignored. */
export const endsIn = ({ file }: Pick<Dropped, 'file'>, endings: readonly string[]): boolean =>
  endings.some((ending) => file.name.toLowerCase().endsWith(ending));

/** What a kind of work makes of documents that are dropped, where they could be written on as well: it is asked which. */
export interface DocumentWork {
  isOf: Arrival['isOf'];
  /** What one does with it. */
  label: string;
  labelOfMany: string;
  /** Throws an UnreadableFile, or what the server answers. */
  take: (dropped: readonly Dropped[]) => Promise<Arrived>;
  /** Whether files dropped at once become one case. */
  areOne?: true;
  /** Whether it is asked for a file that nothing else begins with, too: it may be meant to be saved with a case. */
  asksAlways?: true;
}

/** What a leaf or case begun with a file is called: as the file is, without its ending. */
export const titleFrom = ({ name }: File): string =>
  name
    .replace(/\.[^.]{1,8}$/, '')
    .trim()
    .slice(0, 200);
