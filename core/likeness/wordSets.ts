const AT_ONCE = 500;

/**
 * Texts as sets of numbers, each sorted upwards: a word's number is its place among all words from the rarest to the
 * commonest, so that the first of a set are those that fewest others share. Yields after some hundred texts, so that others
 * may have their turn.
 */
export function* wordSets(texts: readonly (readonly string[])[]): Generator<void, Int32Array[]> {
  const ids = new Map<string, number>();
  const counts: number[] = [];
  const sets: Int32Array[] = [];
  const idOf = (word: string) => {
    let id = ids.get(word);
    if (id === undefined) {
      id = ids.size;
      ids.set(word, id);
      counts.push(0);
    }
    counts[id]! += 1;
    return id;
  };
  for (const words of texts) {
    sets.push(Int32Array.from(new Set(words), idOf));
    if (sets.length % AT_ONCE === 0) yield;
  }
  const order = counts.map((_, id) => id).sort((a, b) => counts[a]! - counts[b]! || a - b);
  const rank = new Int32Array(order.length);
  order.forEach((id, at) => (rank[id] = at));
  for (const [at, set] of sets.entries()) {
    set.forEach((id, place) => (set[place] = rank[id]!));
    set.sort();
    if (at % AT_ONCE === 0) yield;
  }
  return sets;
}
