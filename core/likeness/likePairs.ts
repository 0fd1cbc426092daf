/** Rounding must not take away a pair that is just alike enough. */
const EPSILON = 1e-9;
const NONE = -1;

/** So many words two sets must share to be alike enough, by Jaccard: shared / all of both. */
const neededOverlap = (threshold: number, a: number, b: number) =>
  Math.ceil((threshold / (1 + threshold)) * (a + b) - EPSILON);

/** Whether two sorted sets share at least `needed`: how many, or NONE as soon as it is sure that they do not. */
function overlap(a: Int32Array, b: Int32Array, needed: number): number {
  let [i, j, shared] = [0, 0, 0];
  while (i < a.length && j < b.length) {
    if (shared + Math.min(a.length - i, b.length - j) < needed) return NONE;
    const [x, y] = [a[i]!, b[j]!];
    if (x === y) shared += 1;
    if (x <= y) i += 1;
    if (y <= x) j += 1;
  }
  return shared >= needed ? shared : NONE;
}

/**
 * All pairs of sets whose Jaccard similarity reaches a threshold: an exact set-similarity self-join with prefix, length and
 * position filters and early stop (Chaudhuri et al. 2006; Bayardo et al. 2007, AllPairs; Xiao et al. 2008, PPJoin).
 *
 * Two sets alike enough share a word among the few first of each, which are their rarest. So sets are taken from the smallest
 * to the largest; each looks up its first words in lists of those before it, and then puts its own first words into them:
 *
 *     word  ->  newest entry of its list -> older -> ...     (entry: which set, at which place in it)
 *
 * A list's sizes fall from newest to oldest, so it is left at the first set that is too small. Nothing is missed.
 */
export class LikePairs {
  private readonly order: number[];
  private readonly newest: Int32Array;
  private readonly older: number[] = [];
  private readonly sets: number[] = [];
  private readonly places: number[] = [];
  /** How much two sets were seen to share so far, for the set in hand; NONE where it cannot be enough. */
  private readonly shared: Int32Array;
  private next = 0;

  /** `all`: sorted sets of numbers from 0 up, the rarest first (see `wordSets`); `threshold`: more than 0, at most 1. Empty sets are like none. */
  constructor(
    private readonly all: readonly Int32Array[],
    private readonly threshold: number,
  ) {
    if (!(threshold > 0 && threshold <= 1)) throw new RangeError(`No likeness: ${threshold}`);
    this.order = all.flatMap((set, at) => (set.length > 0 ? [at] : []));
    this.order.sort((a, b) => all[a]!.length - all[b]!.length || a - b);
    const words = all.reduce((most, set) => Math.max(most, (set.at(-1) ?? NONE) + 1), 0);
    this.newest = new Int32Array(words).fill(NONE);
    this.shared = new Int32Array(all.length);
  }

  /** From 0 to 1. */
  get progress(): number {
    return this.order.length === 0 ? 1 : this.next / this.order.length;
  }

  /**
   * Goes on for so many sets, and tells of each pair found, with how alike they are (0 to 1). What `known` says is known of a
   * pair already is not looked at. False when there is nothing left.
   */
  step(
    count: number,
    found: (a: number, b: number, likeness: number) => void,
    known: (a: number, b: number) => boolean = () => false,
  ): boolean {
    const end = Math.min(this.order.length, this.next + count);
    for (; this.next < end; this.next += 1) this.take(this.order[this.next]!, found, known);
    return this.next < this.order.length;
  }

  private take(
    at: number,
    found: (a: number, b: number, likeness: number) => void,
    known: (a: number, b: number) => boolean,
  ): void {
    const set = this.all[at]!;
    for (const other of this.candidates(set)) {
      const may = this.shared[other] !== NONE && !known(other, at);
      this.shared[other] = 0;
      if (!may) continue;
      const them = this.all[other]!;
      const shared = overlap(set, them, neededOverlap(this.threshold, set.length, them.length));
      if (shared !== NONE) found(other, at, shared / (set.length + them.length - shared));
    }
    this.keep(at, set);
  }

  private candidates(set: Int32Array): number[] {
    const { all, threshold, shared } = this;
    const size = set.length;
    const smallest = Math.ceil(threshold * size - EPSILON);
    const candidates: number[] = [];
    for (let place = 0; place < size - smallest + 1; place += 1) {
      for (let one = this.newest[set[place]!]!; one !== NONE; one = this.older[one]!) {
        const other = this.sets[one]!;
        const length = all[other]!.length;
        if (length < smallest) break;
        const so = shared[other]!;
        if (so === NONE) continue;
        if (so === 0) candidates.push(other);
        const most = so + 1 + Math.min(size - place, length - this.places[one]!) - 1;
        shared[other] = most < neededOverlap(threshold, size, length) ? NONE : so + 1;
      }
    }
    return candidates;
  }

  private keep(at: number, set: Int32Array): void {
    const kept = set.length - neededOverlap(this.threshold, set.length, set.length) + 1;
    for (let place = 0; place < kept; place += 1) {
      const word = set[place]!;
      this.older.push(this.newest[word]!);
      this.newest[word] = this.sets.length;
      this.sets.push(at);
      this.places.push(place);
    }
  }
}
