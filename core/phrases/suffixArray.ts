const NONE = -1;

/**
 * The places of `symbols` (numbers from 0 up to `kinds`, without) in the order of what begins there: by prefix doubling, two
 * counting sorts a round (Manber and Myers 1990). Ends as soon as all differ, after as many rounds as the longest repeat has
 * binary digits. Yields after each.
 */
export function* suffixArray(symbols: Int32Array, kinds: number): Generator<void, Int32Array> {
  const size = symbols.length;
  let ranks = Int32Array.from(symbols);
  let next = new Int32Array(size);
  const order = new Int32Array(size);
  const byRest = new Int32Array(size);
  let buckets = new Int32Array(Math.max(kinds, size) + 1);

  /** Puts places, given in the order of what follows, into the order of their rank before that. */
  const sortByRank = (places: Int32Array, ranked: number) => {
    buckets.fill(0, 0, ranked + 1);
    for (let at = 0; at < size; at += 1) buckets[ranks[at]! + 1]! += 1;
    for (let rank = 0; rank < ranked; rank += 1) buckets[rank + 1]! += buckets[rank]!;
    for (let at = 0; at < size; at += 1) {
      const place = places[at]!;
      const rank = ranks[place]!;
      order[buckets[rank]!] = place;
      buckets[rank]! += 1;
    }
  };

  for (let at = 0; at < size; at += 1) byRest[at] = at;
  sortByRank(byRest, kinds);
  for (let length = 1; size > 0; length *= 2) {
    yield;
    // Ranks by the first `length`, from the order: then what is alike so far shares one.
    let ranked = 0;
    let [first, second] = [NONE, NONE];
    const half = length >> 1;
    for (let at = 0; at < size; at += 1) {
      const place = order[at]!;
      const begins = ranks[place]!;
      const follows = half > 0 && place + half < size ? ranks[place + half]! : NONE;
      if (at > 0 && (begins !== first || follows !== second)) ranked += 1;
      next[place] = ranked;
      first = begins;
      second = follows;
    }
    [ranks, next] = [next, ranks];
    if (ranked === size - 1) break;
    // Those with nothing behind their first `length` come before others; the rest in the order of what is there.
    let to = 0;
    for (let place = Math.max(0, size - length); place < size; place += 1) byRest[to++] = place;
    for (let at = 0; at < size; at += 1) if (order[at]! >= length) byRest[to++] = order[at]! - length;
    if (buckets.length < size + 1) buckets = new Int32Array(size + 1);
    sortByRank(byRest, ranked + 1);
  }
  return order;
}

/** How many symbols each place of a suffix array has in common with the one before it (Kasai et al. 2001); the first has 0. */
export function commonWithBefore(symbols: Int32Array, order: Int32Array): Int32Array {
  const size = symbols.length;
  const rank = new Int32Array(size);
  for (let at = 0; at < size; at += 1) rank[order[at]!] = at;
  const common = new Int32Array(size);
  let length = 0;
  for (let place = 0; place < size; place += 1) {
    if (rank[place] === 0) {
      length = 0;
      continue;
    }
    const before = order[rank[place]! - 1]!;
    const most = size - Math.max(place, before);
    while (length < most && symbols[place + length] === symbols[before + length]) length += 1;
    common[rank[place]!] = length;
    if (length > 0) length -= 1;
  }
  return common;
}
