/** A word of a line whose spelling can be looked up, and where it stands. */
export interface CheckedWord {
  from: number;
  to: number;
  /** With plain apostrophes, as dictionaries have them. */
  word: string;
}

/** Stretches without a space; what stands for a blank or another node parts them, and is told by being beside. */
const STRETCH = /[^\s\uFFFC—–…]+/gu;
const WORD = /[\p{L}\p{M}]+(?:['’][\p{L}\p{M}]+)*/gu;
/** Addresses, file names, codes, doses: nothing of them is a word of the language. */
const NO_WORDS = /[\d@\\_/#<>{}|=]|[\p{L}][.:][\p{L}]/u;
const SLASHED = /^[\p{L}'’-]+(?:\/[\p{L}'’-]+)+[.,;:!?)]*$/u;
/** Abbreviations (all capitals), and names written with a capital within (McLee). */
const CAPITALS_WITHIN = /^.*.\p{Lu}/u;
const OBJECT = '\uFFFC';

/** Stand before a hyphen and are no words by themselves: "pre-operative". */
const BEFORE_HYPHEN: ReadonlySet<string> = new Set(
  'anti auto bi co de eco electro ex extra hyper hypo inter intra macro meta micro mid mini mono multi neo non para peri physio poly post pre pro pseudo psycho quasi re self semi socio sub super supra tele trans tri ultra un uni vice'.split(
    ' ',
  ),
);

const POSSESSIVE = /['’]s?$/u;

/**
 * The words of a line that a dictionary is asked about, in its order: each part of what is joined by hyphens; nothing of addresses,
 * codes and numbers, of abbreviations, or of what a blank (one object character) is part of.
 */
export function checkedWords(line: string): CheckedWord[] {
  const words: CheckedWord[] = [];
  for (const { index, 0: stretch } of line.matchAll(STRETCH)) {
    if (NO_WORDS.test(stretch) && !SLASHED.test(stretch)) continue;
    for (const { index: at, 0: found } of stretch.matchAll(WORD)) {
      const from = index + at;
      const word = found.replaceAll('’', "'").replace(POSSESSIVE, '');
      const to = from + word.length;
      const isPart = line[from - 1] === OBJECT || line[from + found.length] === OBJECT;
      // A word that broke off ("I th- I thought") is written as it was said.
      const isPrefix =
        line[to] === '-' && (BEFORE_HYPHEN.has(word.toLowerCase()) || !/[\p{L}]/u.test(line[to + 1] ?? ''));
      if (word.length < 2 || isPart || isPrefix || CAPITALS_WITHIN.test(word)) continue;
      words.push({ from, to, word });
    }
  }
  return words;
}
