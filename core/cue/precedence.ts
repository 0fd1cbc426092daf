import { inOrder } from '#core/language';

/** What decides which of two cues wins that are typed alike. */
export interface CueRank {
  /** Whether its entry is in a collection of the member's own. */
  own: boolean;
  title: string;
  entry: string;
}

/**
 * The order in which cues win, for sorting: one's own before shared ones, then by their entries' titles. The leaf, the page of
 * cues and the entry's page all go by it, so that each says the same of two that are typed alike.
 */
export const byPrecedence = (a: CueRank, b: CueRank): number =>
  Number(b.own) - Number(a.own) ||
  inOrder(a.title, b.title) ||
  (a.entry < b.entry ? -1 : a.entry > b.entry ? 1 : 0);
