import type { Case } from '#contracts';
import type { Since } from '#core/record';
import { calendarToday } from '../clock';

/** When my leaf of a case before this one was saved last, where the member is; null where there is none before it. */
export function lastNote({ drafts }: Pick<Case, 'drafts'>, here: string): Since | null {
  const begun = drafts.find(({ id }) => id === here)?.begunAt;
  const before = drafts
    .filter(({ id, begunAt }) => id !== here && begun !== undefined && begunAt < begun)
    .sort((a, b) => b.begunAt.localeCompare(a.begunAt))[0];
  if (!before) return null;
  const at = new Date(before.savedAt);
  return { at: before.savedAt, day: calendarToday(at), minute: at.getHours() * 60 + at.getMinutes() };
}
