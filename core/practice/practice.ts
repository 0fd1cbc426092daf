import { addDays, type CalendarDate } from '#core/calendar';

/** How well the cue of an entry is known: its box, from 0, and the day from which it comes again. */
export interface CueKnowledge {
  box: number;
  due: CalendarDate;
}

/** Days until something of a box comes again (spaced repetition with boxes, after Leitner 1972). */
const DAYS = [0, 1, 2, 4, 8, 16, 32, 64] as const;

/** What becomes of one after it was asked: known, it moves one box on; not known, it begins again and comes the same day. */
export function asked(before: CueKnowledge | null, isKnown: boolean, today: CalendarDate): CueKnowledge {
  const box = isKnown ? Math.min((before?.box ?? 0) + 1, DAYS.length - 1) : 0;
  return { box, due: addDays(today, DAYS[box]!) };
}

/** An entry that can be asked for: how often its reader placed it, how often of these they looked it up, and how well it is known. */
export interface Card {
  entry: string;
  times: number;
  lookedUp: number;
  known: CueKnowledge | null;
}

/**
 * The cards of one practice, at most `count`: those due, the least known first; then those never asked, what was looked up most
 * first, then what was placed most. What is known and not due is not among them.
 */
export function cardsFor<C extends Card>(cards: readonly C[], today: CalendarDate, count: number): C[] {
  const due = cards
    .filter(({ known }) => known !== null && known.due <= today)
    .sort((a, b) => a.known!.box - b.known!.box || b.lookedUp - a.lookedUp || b.times - a.times);
  const fresh = cards
    .filter(({ known }) => known === null)
    .sort((a, b) => b.lookedUp - a.lookedUp || b.times - a.times);
  return [...due, ...fresh].slice(0, count);
}

/** Whether what was typed is the cue: as it is written, but for its capitals and the spaces around it. */
export const isCue = (typed: string, cue: string): boolean =>
  typed.trim().toLocaleLowerCase() === cue.trim().toLocaleLowerCase();
