import { phraseWord } from './phraseWord';

/** A piece of text that phrases are looked for in, and what it belongs to (a draft); a phrase never goes over its end. */
export interface Text<Owner> {
  owner: Owner;
  text: string;
}

/** Stands between two texts. */
export const BREAK = -1;

/**
 * All words of some texts in one row, by number; each text is followed by a BREAK. Two words have the same number when
 * they are the same in their plain form; all that hold a digit are one, since a weight is another in each case.
 */
export interface WordStream {
  words: Int32Array;
  /** Of each place in `words`: which text it is in, and where in it the word begins and ends (UTF-16). */
  texts: Int32Array;
  from: Int32Array;
  to: Int32Array;
}

/** What a character is to a word: nothing of it, a small letter (its own code), a capital (the small one's), a digit, or beyond ASCII. */
const [NONE, DIGIT, BEYOND] = [0, 1, 2];
const ASCII = Uint8Array.from({ length: 128 }, (_, code) => {
  const letter = String.fromCharCode(code);
  if (/[a-z]/.test(letter)) return code;
  if (/[A-Z]/.test(letter)) return code + 32;
  return /\d/.test(letter) ? DIGIT : NONE;
});
const BEYOND_ASCII = /[\p{L}\p{N}]/u;
const AT_ONCE = 500;
const FIRST_SIZE = 1 << 12;

/** Words by number, looked up by their letters as they are read: to cut each out first and give it to a Map takes four times as long. */
class Vocabulary {
  private readonly known: string[] = [];
  private slots = new Int32Array(FIRST_SIZE);

  /** The number of a plain word given as codes; `hash` is made of these. */
  numberOf(codes: Uint16Array, length: number, hash: number): number {
    const mask = this.slots.length - 1;
    let slot = hash & mask;
    for (; this.slots[slot] !== 0; slot = (slot + 1) & mask)
      if (this.is(this.known[this.slots[slot]! - 1]!, codes, length)) return this.slots[slot]! - 1;
    this.known.push(String.fromCharCode(...codes.subarray(0, length)));
    this.slots[slot] = this.known.length;
    const number = this.known.length - 1;
    if (this.known.length * 2 > mask) this.grow();
    return number;
  }

  private is(word: string, codes: Uint16Array, length: number): boolean {
    if (word.length !== length) return false;
    for (let at = 0; at < length; at += 1) if (word.charCodeAt(at) !== codes[at]) return false;
    return true;
  }

  private grow(): void {
    const slots = new Int32Array(this.slots.length * 4);
    const mask = slots.length - 1;
    this.known.forEach((word, number) => {
      let slot = hashOf(word) & mask;
      while (slots[slot] !== 0) slot = (slot + 1) & mask;
      slots[slot] = number + 1;
    });
    this.slots = slots;
  }
}

/** FNV-1a over character codes (Fowler, Noll, Vo). */
const OFFSET = 0x811c9dc5;
const PRIME = 0x01000193;

function hashOf(word: string): number {
  let hash = OFFSET;
  for (let at = 0; at < word.length; at += 1) hash = Math.imul(hash ^ word.charCodeAt(at), PRIME);
  return spread(hash);
}
const spread = (hash: number) => hash ^ (hash >>> 15);

/** Reads texts, one after the other, into a row of words. */
class Reader {
  private readonly words: Int32Array;
  private readonly from: Int32Array;
  private readonly to: Int32Array;
  private readonly of: Int32Array;
  private readonly vocabulary = new Vocabulary();
  private readonly codes: Uint16Array;
  private end = 0;

  constructor(texts: readonly Text<unknown>[]) {
    const letters = texts.reduce((sum, { text }) => sum + text.length + 2, 0);
    // A word has a letter at least, and something between it and the next.
    const most = Math.ceil(letters / 2) + texts.length;
    this.words = new Int32Array(most);
    this.from = new Int32Array(most);
    this.to = new Int32Array(most);
    this.of = new Int32Array(most);
    // Made plain, a letter can be several.
    this.codes = new Uint16Array(texts.reduce((longest, { text }) => Math.max(longest, text.length), 0) * 4);
  }

  read(text: string, number: number): void {
    const { codes, vocabulary } = this;
    let begin = 0;
    let length = 0;
    let hash = OFFSET;
    let plainly = true;
    for (let place = 0; place < text.length; place += 1) {
      const code = text.charCodeAt(place);
      const kind = code < 128 ? ASCII[code]! : kindBeyond(text, place);
      if (kind === NONE) {
        if (length === 0) continue;
        const word = plainly
          ? vocabulary.numberOf(codes, length, spread(hash))
          : this.slowly(text, begin, place);
        this.put(word, number, begin, place);
        length = 0;
        hash = OFFSET;
        plainly = true;
        continue;
      }
      if (length === 0) begin = place;
      if (kind <= BEYOND) plainly = false;
      codes[length] = kind;
      hash = Math.imul(hash ^ kind, PRIME);
      length += 1;
    }
    if (length > 0) this.put(this.slowly(text, begin, text.length), number, begin, text.length);
    this.put(BREAK, number, 0, 0);
  }

  all(): WordStream {
    const used = (all: Int32Array) => all.subarray(0, this.end);
    return { words: used(this.words), texts: used(this.of), from: used(this.from), to: used(this.to) };
  }

  /** A word with letters beyond ASCII or a digit is made plain as the finder does it. */
  private slowly(text: string, begin: number, end: number): number {
    const word = text.slice(begin, end);
    const plain = phraseWord(word);
    for (let at = 0; at < plain.length; at += 1) this.codes[at] = plain.charCodeAt(at);
    return this.vocabulary.numberOf(this.codes, plain.length, hashOf(plain));
  }

  private put(word: number, text: number, from: number, to: number): void {
    this.words[this.end] = word;
    this.of[this.end] = text;
    this.from[this.end] = from;
    this.to[this.end] = to;
    this.end += 1;
  }
}

/** Reads texts into a row of words; yields how far it is, from 0 to 1. */
export function* wordStream(texts: readonly Text<unknown>[]): Generator<number, WordStream> {
  const reader = new Reader(texts);
  for (let at = 0; at < texts.length; at += 1) {
    if (at % AT_ONCE === 0) yield at / texts.length;
    reader.read(texts[at]!.text, at);
  }
  return reader.all();
}

/** Whether what stands at a place beyond ASCII is a letter or digit: half of a pair is what the pair is. */
function kindBeyond(text: string, place: number): number {
  const low = (text.charCodeAt(place) & 0xfc00) === 0xdc00;
  const whole = String.fromCodePoint(text.codePointAt(low && place > 0 ? place - 1 : place)!);
  return BEYOND_ASCII.test(whole) ? BEYOND : NONE;
}
