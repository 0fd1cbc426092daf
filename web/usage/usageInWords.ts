import type { Usage } from '#contracts';
import { dateInWords } from '#core/calendar';

/**
 * What the figures mean, in a sentence or two: keystrokes saved since when, most by which entry, and how many of them the
 * member saved. Where nothing was saved (more keys were pressed than characters came) it tells the placements alone.
 */
export function usageInWords({ weeks, entries }: Usage, locale: string): string {
  const sum = (of: 'times' | 'saved' | 'mineSaved') => weeks.reduce((all, week) => all + week[of], 0);
  const [saved, mine, times] = [sum('saved'), sum('mineSaved'), sum('times')];
  const since = dateInWords(weeks[0]!.week, 'long', locale);
  const figure = (value: number) => value.toLocaleString(locale);
  const placed = `${figure(times)} ${times === 1 ? 'placement' : 'placements'} since ${since}`;
  if (saved <= 0) return `${placed}. No keystrokes were saved so far.`;
  const best = entries.reduce((one, other) => (other.saved > one.saved ? other : one));
  const yours = mine > 0 ? ` You saved ${mine === saved ? 'all' : figure(mine)} of them.` : '';
  return `${figure(saved)} keystrokes saved by ${placed}, most by “${best.title}”.${yours}`;
}
