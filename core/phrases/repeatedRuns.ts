import { BREAK } from './wordStream';

/** Odd, so that every bit of a word reaches the high bits of the hash (Knuth's multiplicative method). */
const MIX = 0x9e3779b1;
const NONE = -1;

/** What of a row of words is repeated: where runs of `least` words begin that stand more than once. */
export interface RepeatedRuns {
  /** The place in the row where each begins; BREAK between two that do not begin one after the other, and at the end. */
  places: Int32Array;
  /** What begins there: runs of the same words have the same number; each BREAK is one of its own. */
  symbols: Int32Array;
  /** So many numbers there are. */
  kinds: number;
}

/** Numbers for all runs of `least` words, the same for the same words; NONE where a text ends too soon. In a table with open addresses. */
function runNumbers(words: Int32Array, least: number): { numbers: Int32Array; counts: Int32Array } {
  const size = 2 ** Math.ceil(Math.log2(words.length * 2 + 8));
  const shift = 32 - Math.log2(size);
  const slots = new Int32Array(size);
  const numbers = new Int32Array(words.length).fill(NONE);
  const firsts = new Int32Array(words.length);
  const counts = new Int32Array(words.length);
  let known = 0;
  // How many words there are without a break up to here.
  let unbroken = 0;
  for (let end = 0; end < words.length; end += 1) {
    unbroken = words[end] === BREAK ? 0 : unbroken + 1;
    if (unbroken < least) continue;
    const begin = end - least + 1;
    let hash = 0;
    for (let at = begin; at <= end; at += 1) hash = Math.imul(hash ^ words[at]! ^ (hash >>> 15), MIX);
    let slot = hash >>> shift;
    for (; slots[slot] !== 0; slot = (slot + 1) & (size - 1)) {
      const first = firsts[slots[slot]! - 1]!;
      let same = 0;
      while (same < least && words[first + same] === words[begin + same]) same += 1;
      if (same === least) break;
    }
    if (slots[slot] === 0) {
      firsts[known] = begin;
      known += 1;
      slots[slot] = known;
    }
    const number = slots[slot]! - 1;
    numbers[begin] = number;
    counts[number]! += 1;
  }
  return { numbers, counts };
}

/**
 * Where runs of `least` words begin that stand more than once in a row of words. A repeated phrase of so many words and more
 * is made of nothing else, so all that is not repeated, most of any text, is left out of what follows.
 */
export function repeatedRuns(words: Int32Array, least: number): RepeatedRuns {
  const { numbers, counts } = runNumbers(words, least);
  const places: number[] = [];
  const symbols: number[] = [];
  const renumbered = new Int32Array(words.length).fill(NONE);
  let kinds = 0;
  let before = NONE;
  const put = (place: number, symbol: number) => {
    places.push(place);
    symbols.push(symbol);
  };
  for (let at = 0; at < words.length; at += 1) {
    const number = numbers[at]!;
    if (number === NONE || counts[number]! < 2) continue;
    if (before !== NONE && before !== at - 1) put(BREAK, kinds++);
    if (renumbered[number] === NONE) renumbered[number] = kinds++;
    put(at, renumbered[number]!);
    before = at;
  }
  put(BREAK, kinds++);
  return { places: Int32Array.from(places), symbols: Int32Array.from(symbols), kinds };
}
