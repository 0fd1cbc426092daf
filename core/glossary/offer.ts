import type { CalendarDate } from '#core/calendar';
import type { ResolvedCue } from '#core/cue';
import type { ReadBack } from './lookAlikes';
import type { FoundBy, LettersCounted } from './termIndex';
import type { Term } from './wordList';

/** Why something is offered. */
export type OfferedBy = FoundBy | 'family' | 'date' | 'ending' | 'mistyped' | 'no-lead-in';

/** Something offered at the caret, ready to be shown and taken. */
export interface Offer {
  kind: 'entry' | 'term' | 'date';
  /** What is put down; of an entry, its title. */
  text: string;
  /** The entry's id, or the glossary's; '' for a date. */
  list: string;
  by: OfferedBy;
  /** Where in the line what it replaces begins. */
  from: number;
  /** How often this person has used it. */
  times: number;
  /** What must be read back before it stands; null for nothing. */
  readBack: (ReadBack & { note: string }) | null;
}

/** Stands for a glossary where a term is of the text alone that is written on. */
export const OWN_LIST = 'this-text';

/** A glossary as it is offered from. */
export interface OfferList {
  id: string;
  priority: number;
  /** Whether look-alikes are read back. */
  careful: boolean;
  /** Which letters of its terms find them; all, where it does not say. */
  letters?: readonly LettersCounted[];
  terms: readonly Term[];
}

/** An entry in reach as it is offered. */
export interface OfferEntry {
  id: string;
  title: string;
  cues: ResolvedCue[];
  leadIn: string;
  /** The first words of its wordings. */
  beginnings: string[];
  /** All its words, where they are one paragraph without blanks; null otherwise. */
  whole: string | null;
}

/** What a member has used, by glossary and term, or by entry. */
export interface UsedThing {
  source: 'entry' | 'term';
  list: string;
  term: string;
  times: number;
}

/** What stands before the caret, and where. */
export interface OffersAsked {
  line: string;
  today: CalendarDate;
  language: string;
  /** A term was taken right here: its endings are what is wanted. */
  taken: boolean;
}

/** What comes of a question. */
export interface OffersAnswer {
  offers: Offer[];
  isWord: boolean;
  /** The entry whose words were just typed in full, though a cue would have brought them; null for none. */
  missed: string | null;
}
