import { BREAK } from './wordStream';

/** Odd, so that all bits of a word reach all bits of the hash (Knuth's multiplicative method). */
const MIX = 0x9e3779b1;
const NONE = -1;

/**
 * The words that stand in some repeated run of `least`, as places in `words`; between two that are not neighbours there is a
 * BREAK (-1). A repeated phrase of `least` words and more is made of nothing else, and what is not repeated, most of any
 * text, is left out of what follows. Runs are counted by their hash, in a table of four times as many places: a few too many may be kept, none
 * is lost.
 */
export function repeatedRuns(words: Int32Array, least: number): Int32Array {
  const bits = Math.max(8, Math.ceil(Math.log2(words.length + 1)) + 2);
  const counts = new Uint8Array(2 ** bits);
  const shift = 32 - bits;
  const slots = new Int32Array(words.length).fill(NONE);
  // How many words there are without a break up to here.
  let run = 0;
  for (let end = 0; end < words.length; end += 1) {
    run = words[end] === BREAK ? 0 : run + 1;
    if (run < least) continue;
    let hash = 0;
    for (let at = end - least + 1; at <= end; at += 1)
      hash = Math.imul(hash ^ words[at]! ^ (hash >>> 15), MIX);
    const slot = hash >>> shift;
    slots[end] = slot;
    if (counts[slot]! < 2) counts[slot]! += 1;
  }
  const kept = new Uint8Array(words.length);
  for (let end = 0; end < words.length; end += 1)
    if (slots[end] !== NONE && counts[slots[end]!] === 2) kept.fill(1, end - least + 1, end + 1);
  const places: number[] = [];
  for (let at = 0; at < words.length; at += 1)
    if (kept[at]) {
      if (at > 0 && !kept[at - 1]) places.push(BREAK);
      places.push(at);
    }
  places.push(BREAK);
  return Int32Array.from(places);
}
