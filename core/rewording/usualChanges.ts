import type { Rewording } from './changesOf';

/** A change that several made, and of how many placements. */
export interface UsualChange extends Rewording {
  times: number;
}

/** The changes that were made to one placement, in which case, and by whom. */
export interface Reworded {
  case: string;
  author: string;
  changes: readonly Rewording[];
}

const AT_LEAST = 2;
/** Seldom changes are those of a case, not faults of the wording. */
const SHARE = 0.25;

/**
 * The changes that stand in several placements of a wording, the commonest first: in at least two cases, so that what was
 * written for one of them is not told of, and in a quarter of all placements. Told to a reader, it is what they changed
 * themselves or what two people and more did: what somebody wrote alone in a draft stays theirs.
 */
export function usualChanges(all: readonly Reworded[], reader: string): UsualChange[] {
  const found = new Map<
    string,
    { change: Rewording; cases: Set<string>; authors: Set<string>; times: number }
  >();
  for (const { case: of, author, changes } of all)
    for (const change of changes) {
      const key = JSON.stringify([change.line, change.from, change.to, change.put.trim()]);
      const one = found.get(key) ?? {
        change,
        cases: new Set<string>(),
        authors: new Set<string>(),
        times: 0,
      };
      one.cases.add(of);
      one.authors.add(author);
      one.times += 1;
      found.set(key, one);
    }
  return [...found.values()]
    .filter(({ cases, times }) => cases.size >= AT_LEAST && times >= SHARE * all.length)
    .filter(({ authors }) => authors.has(reader) || authors.size >= 2)
    .sort((a, b) => b.times - a.times || a.change.line - b.change.line || a.change.from - b.change.from)
    .map(({ change, times }) => ({ ...change, times }));
}
