/** How words are looked for within a text. */
export interface SearchedAs {
  /** Only where they are no part of a longer word. */
  wholeWords: boolean;
  /** Only as they are written, capitals included. */
  sameCase: boolean;
}

/** Where words stand in a text: from the first of their characters to the one after their last, in UTF-16 units. */
export interface Occurrence {
  from: number;
  to: number;
}

/** Signs that a keyboard has in one form and a text in several. */
const SEVERAL_FORMS: readonly (readonly [RegExp, string])[] = [
  [/['‘’]/gu, "['‘’]"],
  [/["“”]/gu, '["“”]'],
  [/\s+/gu, '\\s+'],
];
const NO_WORD_BEFORE = '(?<![\\p{L}\\p{N}])';
const NO_WORD_AFTER = '(?![\\p{L}\\p{N}])';

/**
 * All places where words stand in a text, in reading order and apart. A space stands for any white space, a straight quotation mark or
 * apostrophe for a curly one as well. Nothing is found of words that are empty or spaces alone.
 */
export function occurrences(text: string, words: string, { wholeWords, sameCase }: SearchedAs): Occurrence[] {
  if (words.trim() === '') return [];
  const literal = words.replace(/[\\^$.*+?()[\]{}|/]/gu, '\\$&');
  const anyForm = SEVERAL_FORMS.reduce((pattern, [sign, forms]) => pattern.replace(sign, forms), literal);
  const pattern = wholeWords ? NO_WORD_BEFORE + anyForm + NO_WORD_AFTER : anyForm;
  return [...text.matchAll(new RegExp(pattern, sameCase ? 'gu' : 'giu'))].map(({ index, 0: found }) => ({
    from: index,
    to: index + found.length,
  }));
}
