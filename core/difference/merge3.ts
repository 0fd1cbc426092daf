import { diffArrays } from 'diff';

/** A stretch of the base, [from, to), and what stands in its place. */
interface Hunk<T> {
  from: number;
  to: number;
  items: T[];
}

/** What is said of a stretch that both changed: the base's, mine and theirs. */
export type Resolve<T> = (base: readonly T[], mine: readonly T[], theirs: readonly T[]) => readonly T[];

function hunksOf<T>(base: readonly T[], other: readonly T[], keyOf: (item: T) => string): Hunk<T>[] {
  const changes = diffArrays(base.map(keyOf), other.map(keyOf));
  const hunks: Hunk<T>[] = [];
  let [at, taken] = [0, 0];
  for (const { added, removed, value } of changes) {
    const { length } = value;
    const last = hunks.at(-1);
    const goesOn = last?.to === at;
    if (removed) {
      if (goesOn) last.to = at + length;
      else hunks.push({ from: at, to: at + length, items: [] });
      at += length;
    } else if (added) {
      const items = other.slice(taken, taken + length);
      if (goesOn) last.items.push(...items);
      else hunks.push({ from: at, to: at, items });
      taken += length;
    } else {
      at += length;
      taken += length;
    }
  }
  return hunks;
}

/** A hunk widened to the whole of [from, to): what the other side left as it was comes along. */
function within<T>(hunks: readonly Hunk<T>[], base: readonly T[], from: number, to: number): T[] {
  const items: T[] = [];
  let at = from;
  for (const hunk of hunks) {
    items.push(...base.slice(at, hunk.from), ...hunk.items);
    at = hunk.to;
  }
  return [...items, ...base.slice(at, to)];
}

/** Whether two changes are of the same words; one that ends where the other begins is not. Two insertions at one place are. */
const touches = <T>(a: Hunk<T>, b: { from: number; to: number }) =>
  (a.from < b.to && a.to > b.from) || (a.from === b.from && a.to === b.to);

/**
 * Two lists that were both made from `base` made one: what only one of them changed is as that one has it; of a stretch that
 * both changed, what `resolve` says. Items are the same where their keys are. The three-way merge of
 * diff3 (Khanna, Kunal and Pierce, "A Formal Investigation of Diff3", 2007).
 */
export function merge3<T>(
  [base, mine, theirs]: readonly [readonly T[], readonly T[], readonly T[]],
  keyOf: (item: T) => string,
  resolve: Resolve<T>,
): T[] {
  const own = hunksOf(base, mine, keyOf);
  const other = hunksOf(base, theirs, keyOf);
  const merged: T[] = [];
  let at = 0;
  let [i, j] = [0, 0];
  while (i < own.length || j < other.length) {
    const first = [own[i], other[j]]
      .filter((hunk) => hunk !== undefined)
      .reduce((a, b) => (b.from < a.from || (b.from === a.from && b.to < a.to) ? b : a));
    const region = { from: first.from, to: first.to };
    const [mineHere, theirsHere]: [Hunk<T>[], Hunk<T>[]] = [[], []];
    // What touches the region widens it, and so may touch more.
    for (let grew = true; grew;) {
      grew = false;
      while (i < own.length && touches(own[i]!, region)) {
        region.to = Math.max(region.to, own[i]!.to);
        mineHere.push(own[i]!);
        i += 1;
        grew = true;
      }
      while (j < other.length && touches(other[j]!, region)) {
        region.to = Math.max(region.to, other[j]!.to);
        theirsHere.push(other[j]!);
        j += 1;
        grew = true;
      }
    }
    const was = base.slice(region.from, region.to);
    const my = within(mineHere, base, region.from, region.to);
    const their = within(theirsHere, base, region.from, region.to);
    merged.push(...base.slice(at, region.from));
    if (theirsHere.length === 0) merged.push(...my);
    else if (mineHere.length === 0 || my.map(keyOf).join('\0') === their.map(keyOf).join('\0'))
      merged.push(...their);
    else merged.push(...resolve(was, my, their));
    at = region.to;
  }
  return [...merged, ...base.slice(at)];
}
