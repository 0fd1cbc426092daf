import { SmallestIn } from './smallestIn';

/** A key and the number of what it finds; of two finds the one with the smaller number is the better. */
export interface Keyed {
  key: string;
  id: number;
}

/**
 * Finds by the beginning of a key: a sorted array, the keys packed into one buffer, with a min-tree over their ids.
 *
 * Encoding: the key at place p is `codes[starts[p] .. starts[p + 1])`, as UTF-16 code units (in bytes, when all of
 * them fit), and brings `ids[p]`; places are in the order of the keys. One id may stand at several places.
 */
export class KeyTable {
  private readonly codes: Uint8Array | Uint16Array;
  private readonly starts: Uint32Array;
  private readonly ids: Int32Array;
  private readonly smallest: SmallestIn;

  /** `keyed` is put in order here, in place. */
  constructor(keyed: Keyed[]) {
    keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : a.id - b.id));
    let length = 0;
    let widest = 0;
    for (const { key } of keyed) {
      length += key.length;
      for (let at = 0; at < key.length; at += 1) widest = Math.max(widest, key.charCodeAt(at));
    }
    this.codes = widest < 256 ? new Uint8Array(length) : new Uint16Array(length);
    this.starts = new Uint32Array(keyed.length + 1);
    this.ids = new Int32Array(keyed.length);
    let end = 0;
    keyed.forEach(({ key, id }, place) => {
      this.ids[place] = id;
      this.starts[place] = end;
      for (let at = 0; at < key.length; at += 1) this.codes[end++] = key.charCodeAt(at);
    });
    this.starts[keyed.length] = end;
    this.smallest = new SmallestIn(this.ids);
  }

  /** The ids of the best `most` keys that begin with `typed`, best first, each id once. */
  beginning(typed: string, most: number): number[] {
    const from = this.firstPlace(typed, false);
    return this.smallest.find(from, this.firstPlace(typed, true), most);
  }

  /** The ids of the best `most` keys that are `typed`. */
  exactly(typed: string, most: number): number[] {
    const from = this.firstPlace(typed, false);
    let to = from;
    while (to < this.ids.length && this.lengthAt(to) === typed.length && this.compare(to, typed) === 0)
      to += 1;
    return this.smallest.find(from, to, most);
  }

  private lengthAt(place: number): number {
    return this.starts[place + 1]! - this.starts[place]!;
  }

  /** How the beginning of a key stands to `typed`: below 0 before it, 0 the key begins with it, above 0 after it. */
  private compare(place: number, typed: string): number {
    const { codes, starts } = this;
    const start = starts[place]!;
    const length = starts[place + 1]! - start;
    for (let at = 0; at < typed.length; at += 1) {
      if (at === length) return -1;
      const difference = codes[start + at]! - typed.charCodeAt(at);
      if (difference !== 0) return difference;
    }
    return 0;
  }

  /** The first place whose key does not stand before `typed`, or, `after`, the first that stands after all it begins. */
  private firstPlace(typed: string, after: boolean): number {
    let low = 0;
    let high = this.ids.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      const order = this.compare(middle, typed);
      if (order < 0 || (after && order === 0)) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}
