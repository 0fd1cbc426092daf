import type { Passage } from '#core/passage';
import type { CaseRecord } from '#core/record';

/** A finished text with what is known of it, as a kind of work takes it away. */
export interface FinishedNote {
  title: string;
  passage: Passage;
  /** BCP 47. */
  language: string;
  /** When it was written last: an instant (ISO 8601). */
  writtenAt: string;
  author: string;
  record: CaseRecord;
}

/** A way to take a finished text away that one kind of work has besides those that all have. */
export interface NoteDownload {
  label: string;
  /** Offers it as a file that is called by its title. */
  save: (note: FinishedNote, title: string) => Promise<void>;
}
