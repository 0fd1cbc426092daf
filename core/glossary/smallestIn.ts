const BLOCK = 16;

/**
 * Answers which are the smallest few different numbers in any stretch of an array: a min-tree over blocks of 16, searched best first with a bound (branch and bound: what cannot be among the smallest is not looked into).
 *
 * Encoding: `tree` is a heap in an array, root 1, children of n at 2n and 2n + 1; the leaf of block b stands at
 * `leaves + b` and holds the least number of that block. Typed, because a million terms must not be a million objects.
 */
export class SmallestIn {
  private readonly tree: Int32Array;
  private readonly leaves: number;
  /** The smallest found so far, ascending; `found` of them count. Kept, so that a key makes no garbage. */
  private best = new Int32Array(16);
  private found = 0;
  private most = 0;
  /** What a number must stay below to be taken. */
  private bound = 0x7fffffff;

  constructor(private readonly values: Int32Array) {
    const blocks = Math.max(1, Math.ceil(values.length / BLOCK));
    let leaves = 1;
    while (leaves < blocks) leaves *= 2;
    this.leaves = leaves;
    this.tree = new Int32Array(leaves * 2).fill(0x7fffffff);
    for (let at = 0; at < values.length; at += 1) {
      const leaf = leaves + ((at / BLOCK) | 0);
      if (values[at]! < this.tree[leaf]!) this.tree[leaf] = values[at]!;
    }
    for (let node = leaves - 1; node > 0; node -= 1)
      this.tree[node] = Math.min(this.tree[node * 2]!, this.tree[node * 2 + 1]!);
  }

  /** The smallest `most` different values of values[from..to), ascending; fewer where there are fewer. */
  find(from: number, to: number, most: number): number[] {
    if (this.best.length < most) this.best = new Int32Array(most);
    this.found = 0;
    this.most = most;
    this.bound = 0x7fffffff;
    if (from < to && most > 0) this.search(from, to);
    return Array.from(this.best.subarray(0, this.found));
  }

  private search(from: number, to: number): void {
    const first = Math.ceil(from / BLOCK);
    const last = Math.floor(to / BLOCK);
    if (first >= last) {
      this.scan(from, to);
      return;
    }
    this.scan(from, first * BLOCK);
    this.scan(last * BLOCK, to);
    // The whole blocks between, as the fewest nodes that cover them.
    for (let low = first + this.leaves, high = last + this.leaves; low < high; low >>= 1, high >>= 1) {
      if (low & 1) this.descend(low++);
      if (high & 1) this.descend(--high);
    }
  }

  private scan(from: number, to: number): void {
    const { values } = this;
    for (let at = from; at < to; at += 1) if (values[at]! < this.bound) this.take(values[at]!);
  }

  private descend(node: number): void {
    const { tree } = this;
    if (tree[node]! >= this.bound) return;
    if (node >= this.leaves) {
      const start = (node - this.leaves) * BLOCK;
      this.scan(start, Math.min(start + BLOCK, this.values.length));
      return;
    }
    const left = node * 2;
    // The better child first: its finds bound the other.
    const near = tree[left]! <= tree[left + 1]! ? left : left + 1;
    this.descend(near);
    this.descend(left + left + 1 - near);
  }

  private take(value: number): void {
    const { best, most } = this;
    let at = this.found;
    while (at > 0 && best[at - 1]! > value) at -= 1;
    if (at > 0 && best[at - 1] === value) return;
    if (this.found < most) this.found += 1;
    for (let move = this.found - 1; move > at; move -= 1) best[move] = best[move - 1]!;
    best[at] = value;
    if (this.found === most) this.bound = best[most - 1]!;
  }
}
