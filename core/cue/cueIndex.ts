import type { Closer, ResolvedCue } from './cue';

/** A cue found before the caret: which one, where it starts in the text looked at, and how it was typed. */
export interface CueMatch {
  cue: ResolvedCue;
  from: number;
  typed: string;
}

/** In which case a cue was typed, for wording that follows it. */
export type TypedCase = 'as-is' | 'capital' | 'upper';

const LETTER_OR_DIGIT = /[\p{L}\p{N}]/u;
const EMPTY = 0;

/** Of a table of so many slots no more are taken: fuller, what is looked for is found late. */
const mostNodes = (size: number): number => Math.floor(size * 0.6);

/** Lower case of one UTF-16 code unit; ASCII without a call, since nearly every key typed is ASCII. */
function fold(code: number): number {
  if (code < 128) return code >= 65 && code <= 90 ? code + 32 : code;
  const lower = String.fromCharCode(code).toLowerCase();
  return lower.length === 1 ? lower.charCodeAt(0) : code;
}

/**
 * Is there a cue before the caret? A trie of all cues read backwards, so that one walk from the caret
 * towards the line's start meets every cue that ends there, the longest last.
 *
 * Encoding: nodes are numbers, the root 1. Children live in one open-addressed hash table: `keys[slot]` holds
 * (node * 65536 + code unit), `children[slot]` the child; `firstCue[node]` the index of the first cue that
 * ends at the node plus one, `nextCue` chains the others (same letters, other rules). Numbers in typed arrays because a million
 * cues as objects would cost hundreds of megabytes and a cache miss a step.
 */
export class CueIndex {
  private keys: Float64Array;
  private children: Int32Array;
  private mask: number;
  private firstCue: Int32Array;
  private readonly nextCue: Int32Array;
  private nodes = 1;

  /** Builds the index; where two cues are typed alike, the one that comes first in `cues` wins. */
  constructor(private readonly cues: readonly ResolvedCue[]) {
    let size = 16;
    while (size < cues.length * 2) size *= 2;
    this.mask = size - 1;
    this.keys = new Float64Array(size);
    this.children = new Int32Array(size);
    this.firstCue = new Int32Array(mostNodes(size) + 2);
    this.nextCue = new Int32Array(cues.length);
    // Backwards, since each is put at the head of its chain.
    for (let index = cues.length - 1; index >= 0; index -= 1) this.add(index);
  }

  private add(index: number): void {
    const typed = this.cues[index]!.typed;
    let node = 1;
    for (let at = typed.length - 1; at >= 0; at -= 1) {
      const slot = this.slot(node, fold(typed.charCodeAt(at)));
      let child = this.children[slot]!;
      if (this.keys[slot] === EMPTY) {
        this.keys[slot] = node * 65536 + fold(typed.charCodeAt(at));
        this.children[slot] = child = this.nodes += 1;
        if (this.nodes > mostNodes(this.keys.length)) this.grow();
      }
      node = child;
    }
    this.nextCue[index] = this.firstCue[node]!;
    this.firstCue[node] = index + 1;
  }

  /** A table twice as large: how many nodes there are is known only once cues that end alike have met. */
  private grow(): void {
    const { keys, children, firstCue } = this;
    const size = keys.length * 2;
    this.mask = size - 1;
    this.keys = new Float64Array(size);
    this.children = new Int32Array(size);
    this.firstCue = new Int32Array(mostNodes(size) + 2);
    this.firstCue.set(firstCue);
    for (let old = 0; old < keys.length; old += 1) {
      const key = keys[old]!;
      if (key === EMPTY) continue;
      const slot = this.slot(Math.floor(key / 65536), key % 65536);
      this.keys[slot] = key;
      this.children[slot] = children[old]!;
    }
  }

  /** The slot where the child of `node` by `code` is or would be: Fibonacci hashing, linear probing. */
  private slot(node: number, code: number): number {
    const key = node * 65536 + code;
    let slot = (Math.imul(node, 0x9e3779b1) ^ Math.imul(code, 0x85ebca6b)) & this.mask;
    slot = (slot ^ (slot >>> 7)) & this.mask;
    while (this.keys[slot] !== EMPTY && this.keys[slot] !== key) slot = (slot + 1) & this.mask;
    return slot;
  }

  /**
   * The cue that the last character typed completes, or null. `text` is the line up to the caret. With
   * `closer`, `text` ends before the closing key and cues that wait for that key are looked for instead.
   * The longest cue wins.
   */
  find(text: string, closer: Closer | null = null): CueMatch | null {
    let node = 1;
    let best: ResolvedCue | null = null;
    let from = 0;
    for (let at = text.length - 1; at >= 0; at -= 1) {
      const slot = this.slot(node, fold(text.charCodeAt(at)));
      if (this.keys[slot] === EMPTY) break;
      node = this.children[slot]!;
      for (let entry = this.firstCue[node]!; entry !== 0; entry = this.nextCue[entry - 1]!) {
        const cue = this.cues[entry - 1]!;
        if (!fires(cue, text, at, closer)) continue;
        best = cue;
        from = at;
        break;
      }
    }
    return best && { cue: best, from, typed: text.slice(from) };
  }
}

/** Whether a cue whose letters stand at text[from..] may fire, by its own rules. */
function fires(cue: ResolvedCue, text: string, from: number, closer: Closer | null): boolean {
  const { rules } = cue;
  if (closer === null ? rules.fires !== 'last' : rules.fires !== 'closing' || !rules.closers.includes(closer))
    return false;
  if (rules.letters === 'exact' && text.slice(from) !== cue.typed) return false;
  if (rules.before === 'anything' || from === 0) return true;
  const before = text.charAt(from - 1);
  return rules.before === 'space' ? /\s/.test(before) : !LETTER_OR_DIGIT.test(before);
}

/** How a cue was typed, for wordings that follow: its first letter a capital, all its letters, or as kept. */
export function typedCase(match: CueMatch): TypedCase {
  if (match.cue.rules.letters !== 'followed' || match.typed === match.cue.typed) return 'as-is';
  const letters = match.typed.replace(/[^\p{L}]/gu, '');
  if (letters.length > 1 && letters === letters.toLocaleUpperCase()) return 'upper';
  const first = letters.charAt(0);
  return first !== '' && first === first.toLocaleUpperCase() ? 'capital' : 'as-is';
}
