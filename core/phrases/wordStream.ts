import { plainWord } from '#core/finder';

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

const WORD = /[\p{L}\p{N}]+/gu;
const HAS_DIGIT = /\p{N}/u;
const NUMBER = '#';
const AT_ONCE = 500;

/** Reads texts into a row of words; yields how far it is, from 0 to 1. */
export function* wordStream(texts: readonly Text<unknown>[]): Generator<number, WordStream> {
  const letters = texts.reduce((sum, { text }) => sum + text.length + 2, 0);
  // A word has a letter at least, and something between it and the next.
  const most = Math.ceil(letters / 2) + texts.length;
  const [words, from, to, of] = [0, 1, 2, 3].map(() => new Int32Array(most)) as Int32Array[];
  const plain = new Map<string, number>();
  // By the word as it is written: most are written so again and again, and need not be made plain each time.
  const written = new Map<string, number>();
  const numberOf = (word: string) => {
    const key = HAS_DIGIT.test(word) ? NUMBER : plainWord(word);
    const number = plain.get(key) ?? plain.size;
    plain.set(key, number);
    written.set(word, number);
    return number;
  };
  let end = 0;
  for (let at = 0; at < texts.length; at += 1) {
    if (at % AT_ONCE === 0) yield at / texts.length;
    const { text } = texts[at]!;
    WORD.lastIndex = 0;
    for (let match = WORD.exec(text); match; match = WORD.exec(text)) {
      const word = match[0];
      words![end] = written.get(word) ?? numberOf(word);
      from![end] = match.index;
      to![end] = match.index + word.length;
      of![end] = at;
      end += 1;
    }
    words![end] = BREAK;
    of![end] = at;
    end += 1;
  }
  const used = (all: Int32Array | undefined) => all!.subarray(0, end);
  return { words: used(words), texts: used(of), from: used(from), to: used(to) };
}
