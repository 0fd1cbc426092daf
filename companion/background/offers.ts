import { offerEntries } from '#client/offers';
import { calendarToday } from '#client/clock';
import { makeReach, typedCue, type BankIndex } from '#core/bank';
import { Offering } from '#core/glossary';
import type { OfferedRow } from '../messages';
import { indexOfBank } from './bankAnswers';
import { ANY_WORK } from './packCues';
import { part } from './store';

/** More would hide too much of the page. */
const MOST = 6;

/** What is offered from: made once for all pages, and anew when the bank is another. */
let held: { print: string; index: BankIndex; offering: Offering } | null = null;

async function offeringNow() {
  const print = (await part('print')) ?? '';
  if (held?.print === print) return held;
  const [index, beginning] = [await indexOfBank(print), await part('beginning')];
  const offering = new Offering();
  offering.setEntries(offerEntries(makeReach(index, ANY_WORK, beginning?.reach ?? undefined), index));
  held = { print, index, offering };
  return held;
}

/** Entries for what was typed behind a lead-in, as far as one cue begins so, or the words of a title or wording do; best first. */
export async function offersFor(leadIn: string, words: string): Promise<OfferedRow[]> {
  const { index, offering } = await offeringNow();
  const now = { today: calendarToday(), language: 'en', taken: false };
  const found = [leadIn + words, words].flatMap((line) =>
    offering.ask({ ...now, line }).offers.filter(({ kind, from }) => kind === 'entry' && from === 0),
  );
  const ids = [...new Set(found.map(({ list }) => list))].slice(0, MOST);
  return ids.flatMap((id): OfferedRow[] => {
    const entry = index.entries.get(id);
    if (!entry) return [];
    const { title } = entry.content;
    return [{ id, title, cue: typedCue(entry, index.collections.get(entry.collection)) }];
  });
}
