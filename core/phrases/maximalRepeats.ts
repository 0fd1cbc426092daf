/** A run of symbols that stands in several documents, and cannot be longer on either side without standing in fewer places. */
export interface Repeat {
  /** How many symbols it has. */
  length: number;
  /** Its places are those of the suffix array from here to before there. */
  from: number;
  to: number;
  /** In how many documents. */
  documents: number;
}

interface Interval {
  length: number;
  from: number;
  /** What stands before all of its places; SEVERAL where that differs, or nothing does. */
  before: number;
  /** How many of its places are of a document that an earlier one is of. */
  again: number;
}

const SEVERAL = -1;

/** Where the deepest interval that reaches back to a place is; intervals begin ever later up the stack. */
function deepest(stack: readonly Interval[], place: number): Interval {
  let [low, high] = [0, stack.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (stack[middle]!.from <= place) low = middle;
    else high = middle - 1;
  }
  return stack[low]!;
}

/**
 * All maximal repeats in at least `inAtLeast` documents, from a suffix array and what neighbours
 * in it have in common: its intervals, walked with a stack (Abouelhoda, Kurtz and Ohlebusch 2004), those left out before
 * whose places the same symbol stands. Documents are counted in passing (Hui 1992): a place whose document came before is
 * taken off the deepest interval that has both. `documentOf` tells the document of a place in `symbols`.
 */
export function maximalRepeats(
  { symbols, order, common }: { symbols: Int32Array; order: Int32Array; common: Int32Array },
  documentOf: (place: number) => number,
  inAtLeast: number,
): Repeat[] {
  const repeats: Repeat[] = [];
  const stack: Interval[] = [{ length: 0, from: 0, before: SEVERAL, again: 0 }];
  const last = new Map<number, number>();
  const beforePlace = (at: number) => (order[at]! > 0 ? symbols[order[at]! - 1]! : SEVERAL);
  const size = order.length;
  for (let at = 0; at < size; at += 1) {
    const length = at + 1 < size ? common[at + 1]! : 0;
    const document = documentOf(order[at]!);
    const earlier = last.get(document);
    if (earlier !== undefined) deepest(stack, earlier).again += 1;
    last.set(document, at);
    let inner: Interval = { length: 0, from: at, before: beforePlace(at), again: 0 };
    for (let top = stack.at(-1)!; top.length > length; top = stack.at(-1)!) {
      take(top, inner);
      const documents = at + 1 - top.from - top.again;
      if (documents >= inAtLeast && top.before === SEVERAL)
        repeats.push({ length: top.length, from: top.from, to: at + 1, documents });
      inner = stack.pop()!;
    }
    const top = stack.at(-1)!;
    if (top.length === length) take(top, inner);
    else stack.push({ length, from: inner.from, before: inner.before, again: inner.again });
  }
  return repeats;
}

function take(outer: Interval, inner: Interval): void {
  if (inner.before !== outer.before) outer.before = SEVERAL;
  outer.again += inner.again;
}
