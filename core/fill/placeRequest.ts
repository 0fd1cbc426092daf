import type { CalendarDate, TimeOfDay } from '#core/calendar';
import type { Answers } from '#core/draft';
import type { EntryContent } from '#core/entry';
import type { CaseRecord } from '#core/record';
import type { Writer } from '#core/signing';
import type { FindEntry, PagePlace } from './includes';

/** What is needed to put an entry into a draft. `today` is the day in the member's own place. */
export interface PlaceRequest {
  entry: { id: string; revision: number; content: EntryContent };
  cue: string | null;
  /** The id of one of its wordings; the one in the case's language, or the first, when left out. */
  wording?: string;
  record: CaseRecord;
  today: CalendarDate;
  /** The time where the member is, for greetings; noon when left out. */
  now?: TimeOfDay;
  /** Who writes. */
  writer?: Writer;
  /** What was answered last for this very person, by the field's id: some of it is offered again, alternates are turned. */
  last?: Answers;
  /** The page of others it is put into; none on a leaf. */
  page?: PagePlace;
  /** Finds the entries that this one includes. */
  find?: FindEntry;
  /** The id the new placement gets: unique in its draft. */
  id: string;
  /** Answers already known, as when a newer wording takes over those given before. They win over the record. */
  answers?: Answers;
}
