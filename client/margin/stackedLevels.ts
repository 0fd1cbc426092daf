/** Something that stands beside a text: where it would be, how tall it is, in px, and whether it may be moved at all costs. */
export interface Beside {
  wanted: number;
  height: number;
  /** Stays where it is wanted, and others make room. */
  isHeld: boolean;
}

/** A run of things that touch, as pooling has joined them. */
interface Pool {
  /** Sums over its things of weight, and of weight times where the pool would be wanted. */
  weight: number;
  pull: number;
  count: number;
}

/** What is held counts so many times as much as what is not. */
const HELD = 1e6;

/**
 * Levels for things that stand beside a text in their order, so that none overlaps another, none is above `top`, and together they are
 * as near as can be to where they are wanted (least squares). Pool-adjacent-violators on the tops less what stands before each (isotonic
 * regression; Barlow, Bartholomew, Bremner and Brunk 1972): linear in their number. Levels in px, in the order given; `gap` between two.
 */
export function stackedLevels(things: readonly Beside[], top: number, gap: number): number[] {
  const pools: Pool[] = [];
  let before = 0;
  const offsets = things.map(({ wanted, height, isHeld }) => {
    const offset = before;
    before += height + gap;
    const weight = isHeld ? HELD : 1;
    let pool: Pool = { weight, pull: weight * (wanted - offset), count: 1 };
    for (
      let last = pools.at(-1);
      last && last.pull / last.weight >= pool.pull / pool.weight;
      last = pools.at(-1)
    ) {
      pools.pop();
      pool = {
        weight: last.weight + pool.weight,
        pull: last.pull + pool.pull,
        count: last.count + pool.count,
      };
    }
    pools.push(pool);
    return offset;
  });
  // Least squares under a bound from below are those without it, raised to it.
  const starts = pools.flatMap(({ weight, pull, count }) =>
    Array<number>(count).fill(Math.max(top, pull / weight)),
  );
  return offsets.map((offset, at) => starts[at]! + offset);
}
