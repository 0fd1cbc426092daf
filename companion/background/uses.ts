import { call, isProblem } from '#client/api';
import { calendarToday } from '#client/clock';
import type { Use } from '#contracts';
import { ANY_WORK } from './packCues';
import { dropUses, keepUse, waitingUses } from './store';

/** So many the server takes in one telling. */
const MOST_AT_ONCE = 500;

/** Keeps a use, in numbers alone, until the server can be told. */
export const countUse = (use: Use): Promise<void> => keepUse({ kind: ANY_WORK, day: calendarToday(), use });

/** Tells the server of the uses that wait, by day; those it has taken go. Throws where it cannot be reached. */
export async function tellUses(): Promise<void> {
  const waiting = await waitingUses();
  const days = [...new Set(waiting.map(({ use }) => use.day))];
  for (const day of days) {
    const ofDay = waiting.filter(({ use }) => use.day === day);
    for (let at = 0; at < ofDay.length; at += MOST_AT_ONCE) {
      const some = ofDay.slice(at, at + MOST_AT_ONCE);
      const body = { day, kind: ANY_WORK, uses: some.map(({ use }) => use.use) };
      try {
        await call('countUses', { body });
      } catch (error) {
        // What is too old to be counted would be refused for ever.
        if (!isProblem(error, 'not-valid')) throw error;
      }
      await dropUses(some.map(({ key }) => key));
    }
  }
}
