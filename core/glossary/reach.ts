import { kindOf } from '#core/work';
import type { OwnReach, Preferences, ReachSet } from './preferences';

/** A collection or a glossary, as far as reach goes. */
interface List {
  id: string;
  /** Kinds of work it is meant for; none for all. */
  kindsOfWork: readonly string[];
}

/** Whether a list is in reach for a kind of work: meant for it, or the kind reaches for all; unless the member switched it in or out. */
export function isInReach({ id, kindsOfWork }: List, kind: string, own: OwnReach | undefined): boolean {
  if (own?.in.includes(id)) return true;
  if (own?.out.includes(id)) return false;
  return kindsOfWork.length === 0 || kindsOfWork.includes(kind) || kindOf(kind)?.reachesAll === true;
}

/** The preferences with a list switched in for a kind of work by name, even where it is meant for it. */
export function switchedIn(preferences: Preferences, { id }: List, kind: string): Preferences {
  const own = preferences.reach[kind] ?? { in: [], out: [] };
  const others = (ids: readonly string[]) => ids.filter((one) => one !== id);
  const next = { in: [...others(own.in), id], out: others(own.out) };
  return { ...preferences, reach: { ...preferences.reach, [kind]: next } };
}

/** The preferences with a list in reach for a kind of work, or out of it, and that remembered. */
export function switchedTo(preferences: Preferences, list: List, kind: string, isIn: boolean): Preferences {
  const own = preferences.reach[kind] ?? { in: [], out: [] };
  const without = { in: own.in.filter((id) => id !== list.id), out: own.out.filter((id) => id !== list.id) };
  // Back to what the list is meant for, nothing need be remembered.
  const isMeant = isInReach(list, kind, without);
  const side = isIn ? 'in' : 'out';
  const next = isMeant === isIn ? without : { ...without, [side]: [...without[side], list.id] };
  return { ...preferences, reach: { ...preferences.reach, [kind]: next } };
}

/** The preferences with the lists of a set in reach for a kind of work, and all others that there are out of it. */
export const broughtTogether = (
  preferences: Preferences,
  { lists }: ReachSet,
  all: readonly List[],
  kind: string,
): Preferences =>
  all.reduce((before, list) => switchedTo(before, list, kind, lists.includes(list.id)), preferences);

/** The preferences with a set kept; one of the same name gives way to it. */
export function withReachSet(preferences: Preferences, set: ReachSet): Preferences {
  const same = (name: string) => name.toLowerCase() === set.name.toLowerCase();
  const others = (preferences.reachSets ?? []).filter(({ name }) => !same(name));
  return { ...preferences, reachSets: [...others, set] };
}
