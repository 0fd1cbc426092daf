import type { Sign } from '#core/entry';
import { countWords } from '#core/passage';
import { sentencesIn } from '#core/submission';
import type { SignWords } from './signWords';

/** A stretch of a line, in UTF-16 units. */
export interface LinePlace {
  from: number;
  to: number;
}

/** A word and the same again, with nothing but space between. */
const REPEATED = /(?<![\p{L}\p{N}])(\p{L}+)(\s+)\1(?![\p{L}\p{N}])/giu;

/** Words that are said twice in a row, but where the language has it so. */
export function repeatedWords(words: string, { twice }: SignWords): LinePlace[] {
  return [...words.matchAll(REPEATED)]
    .filter(([, word]) => !twice.includes(word!.toLowerCase()))
    .map(({ 0: all, index }) => ({ from: index, to: index + all.length }));
}

/** Two spaces or more, other than at the ends of a line. */
export const doubledSpaces = (words: string): LinePlace[] =>
  [...words.matchAll(/(?<=\S) {2,}(?=\S)/g)].map(({ 0: all, index }) => ({
    from: index,
    to: index + all.length,
  }));

/** Quotation marks as they are set in the languages known here, and as typed. An apostrophe within single marks is none of them. */
const QUOTATIONS = [
  /“[^“”]+”/gu,
  /„[^„“”]+[“”]/gu,
  /»[^«»]+«/gu,
  /«[^«»]+»/gu,
  /(?<![\p{L}\p{N}])"[^"]+"/gu,
  /(?<![\p{L}\p{N}])‘(?:[^‘’]|’\p{L})+’(?!\p{L})/gu,
];

/** Fewer words in quotation marks are a word that is spoken of, or meant otherwise. */
const FEWEST_QUOTED = 3;

/** A year, or a page, or a number in square brackets, or a note. */
const SOURCE_BEHIND =
  /^[\s.,;:!?]{0,3}(?:\([^()]*(?:\p{N}{4}|\b(?:pp?|s|tt?)\.\s*\p{N})[^()]*\)|\[[^[\]]*\p{N}[^[\]]*\]|[¹²³⁴⁵⁶⁷⁸⁹⁰]|\uFFFC)/iu;
/** Whoever is quoted, with the year, in the sentence that leads to the quotation. */
const SOURCE_BEFORE = /\(\p{N}{4}\p{L}?(?:[,:][^()]*)?\)[^.!?]*$/u;

/** Quotations of some words that have no source in brackets, note or year by them. */
export function quotationsWithoutSource(words: string): LinePlace[] {
  const found = QUOTATIONS.flatMap((mark) => [...words.matchAll(mark)]).map(({ 0: all, index }) => ({
    from: index,
    to: index + all.length,
  }));
  const outer = found.filter(
    (one) => !found.some((other) => other !== one && other.from <= one.from && one.to <= other.to),
  );
  return outer
    .filter(({ from, to }) => {
      const isSaid = countWords(words.slice(from, to)) >= FEWEST_QUOTED;
      return (
        isSaid && !SOURCE_BEHIND.test(words.slice(to, to + 200)) && !SOURCE_BEFORE.test(words.slice(0, from))
      );
    })
    .sort((one, other) => one.from - other.from);
}

/** A number in figures by itself: no letter, sign of a unit, colon of a time or dash of a code touches it. */
const NUMBER = /(?<![\p{L}\p{N}.,:/#§[\]£$€-])\p{Nd}+(?:[.,]\p{Nd}+)*(?![\p{L}\p{N}%‰°′″:/\])£$€-])/gu;

/** Whether a number as written may be a year. */
const isYear = (figures: string): boolean => /^(?:1[5-9]|20)\p{Nd}{2}$/u.test(figures);

/** Whether what stands behind a number leaves it without a unit or a thing that is counted. */
function isBare(behind: string, { goOn, join }: SignWords): boolean {
  // The first of a range, or of numbers in a row: the last of them says of what, or is the one that does not.
  if (/^\s*[–—×]?\s*\p{Nd}/u.test(behind)) return false;
  const [, word, joined] = /^\s+(\p{L}+)(\s+\p{Nd})?/u.exec(behind) ?? [];
  if (word === undefined) return /^\s*(?:[.;!?]|,\s+\p{L}|$)/u.test(behind);
  const said = word.toLowerCase();
  return !(joined !== undefined && join.includes(said)) && goOn.includes(said);
}

/** How much of a line is looked at behind a number. */
const AHEAD = 120;

/** Numbers in figures that do not say of what: years, dates, and numbers of tables and pages are none. */
export function numbersWithoutUnit(words: string, known: SignWords): LinePlace[] {
  return [...words.matchAll(NUMBER)].flatMap(({ 0: figures, index }) => {
    const to = index + figures.length;
    const [, before] = /(\p{L}+)\.?\s+$/u.exec(words.slice(Math.max(0, index - 40), index)) ?? [];
    const isNamed = before !== undefined && known.labels.includes(before.toLowerCase());
    if (isNamed || isYear(figures) || !isBare(words.slice(to, to + AHEAD), known)) return [];
    return [{ from: index, to }];
  });
}

/** A paragraph of more words than these, as its first sentence; none where it is no longer. */
export function longParagraph(words: string, most: number, language: string): LinePlace[] {
  if (countWords(words) <= most) return [];
  return sentencesIn(words, language).slice(0, 1);
}

/** Sentences of more words than these. */
export const longSentences = (words: string, most: number, language: string): LinePlace[] =>
  // No more words than every second letter can begin.
  words.length < most * 2
    ? []
    : sentencesIn(words, language).filter(({ from, to }) => countWords(words.slice(from, to)) > most);

/** What a sign that a line alone decides finds in it; null for signs of words and patterns. */
export function lineSign(sign: Sign, words: string, known: SignWords, language: string): LinePlace[] | null {
  switch (sign.kind) {
    case 'repeated-word':
      return repeatedWords(words, known);
    case 'doubled-space':
      return doubledSpaces(words);
    case 'quotation-without-source':
      return quotationsWithoutSource(words);
    case 'number-without-unit':
      return numbersWithoutUnit(words, known);
    case 'long-paragraph':
      return longParagraph(words, sign.most, language);
    case 'long-sentence':
      return longSentences(words, sign.most, language);
    default:
      return null;
  }
}
