import type { CalendarDate } from '#core/calendar';
import type { EntryContent } from '#core/entry';
import { plainText } from '#core/passage';
import type { Way } from '#core/savings';

/** An entry that somebody uses, and for which kind of work. */
export interface Used {
  id: string;
  kind: string;
  content: EntryContent;
}

/** How often a member placed an entry on a day, with what that showed and cost: a row of the table of uses. */
export interface UseOfDay {
  member: string;
  list: string;
  kind: string;
  day: CalendarDate;
  times: number;
  shown: number;
  pressed: number;
  lookedUp: number;
}

/** Numbers from 0 to 1 that are the same at each start (mulberry32), so that the demo is the same for everybody. */
function numbersFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** In which ways a member brought entries on a day: a row of the table of ways. */
export interface WaysOfDay {
  member: string;
  way: Way;
  day: CalendarDate;
  times: number;
  keys: number;
}

/** How often of a hundred each way is taken, and the keys it takes; a cue takes its own letters. */
const TAKEN: readonly [upTo: number, way: Way, keys: number][] = [
  [12, 'look-up', 9],
  [30, 'offer', 5],
  [36, 'click', 1],
  [40, 'keys', 3],
];

const DAY_MS = 86_400_000;
const KEYS_A_FIELD = 4;
const LEAST_ON_A_DAY = 2;
const MORE_ON_A_DAY = 9;

/** Letters that its reader sees, and keys it takes by its cue. */
function costOf({ content }: Used): { shown: number; pressed: number } {
  const words = plainText(content.wordings[0]!.parts.at(-1)!.passage);
  const asked = content.fields.filter(({ kind }) => kind !== 'detail' && kind !== 'writer').length;
  const cue = content.cues[0]?.text.length ?? 0;
  return { shown: words.length + asked * 8, pressed: cue + 2 + asked * KEYS_A_FIELD };
}

/**
 * What members placed in so many days before a day: some more on each day, few on Sundays, the first entries of each most. Begun
 * slowly, as a team does: the last week is the busiest.
 */
export function weeksOfUse(
  usedBy: ReadonlyMap<string, readonly Used[]>,
  { until, days }: { until: Date; days: number },
): { uses: UseOfDay[]; ways: WaysOfDay[] } {
  const ways = new Map<string, WaysOfDay>();
  const next = numbersFrom(1186);
  const rows = new Map<string, UseOfDay>();
  for (let back = days; back >= 1; back -= 1) {
    const at = new Date(until.getTime() - back * DAY_MS);
    const day = at.toISOString().slice(0, 10);
    const share = (at.getUTCDay() === 0 ? 0.2 : 1) * (0.35 + (0.65 * (days - back)) / days);
    for (const [member, used] of usedBy) {
      if (used.length === 0) continue;
      const placed = Math.round((LEAST_ON_A_DAY + next() * MORE_ON_A_DAY) * share);
      for (let each = 0; each < placed; each += 1) {
        const one = used[Math.floor(next() ** 2.4 * used.length)]!;
        const key = `${member} ${one.id} ${day}`;
        const row = rows.get(key) ?? {
          ...{ member, list: one.id, kind: one.kind, day },
          ...{ times: 0, shown: 0, pressed: 0, lookedUp: 0 },
        };
        const drawn = next() * 100;
        const [, way, taken] = TAKEN.find(([upTo]) => drawn < upTo) ?? [100, 'cue' as const, 0];
        const isLookedUp = way === 'look-up';
        const { shown, pressed } = costOf(one);
        rows.set(key, {
          ...row,
          times: row.times + 1,
          shown: row.shown + shown,
          pressed: row.pressed + pressed + (isLookedUp ? 6 : 0),
          lookedUp: row.lookedUp + (isLookedUp ? 1 : 0),
        });
        const before = ways.get(`${member} ${way} ${day}`) ?? { member, way, day, times: 0, keys: 0 };
        const keys = before.keys + (taken || (one.content.cues[0]?.text.length ?? 0) + 1);
        ways.set(`${member} ${way} ${day}`, { ...before, times: before.times + 1, keys });
      }
    }
  }
  return { uses: [...rows.values()], ways: [...ways.values()] };
}
