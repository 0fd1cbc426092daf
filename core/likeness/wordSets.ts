/**
 * Texts as sets of numbers, each sorted upwards: a word's number is its place among all words from the rarest to the
 * commonest, so that the first of a set are those that fewest others share.
 */
export function wordSets(texts: readonly (readonly string[])[]): Int32Array[] {
  const ids = new Map<string, number>();
  const counts: number[] = [];
  const seen = texts.map((words) =>
    [...new Set(words)].map((word) => {
      let id = ids.get(word);
      if (id === undefined) {
        id = ids.size;
        ids.set(word, id);
        counts.push(0);
      }
      counts[id]! += 1;
      return id;
    }),
  );
  const order = counts.map((_, id) => id).sort((a, b) => counts[a]! - counts[b]! || a - b);
  const rank = new Int32Array(order.length);
  order.forEach((id, at) => (rank[id] = at));
  return seen.map((set) => Int32Array.from(set, (id) => rank[id]!).sort());
}
