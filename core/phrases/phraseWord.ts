import { plainWord } from '#core/finder';

/** What every word that holds a digit is: a weight is another in each case. */
export const NUMBER = '#';

/** Whether a word holds a digit. */
export const isNumber = (word: string) => /\p{N}/u.test(word);

/** A word as it is compared in phrases: in its plain form, all numbers alike. */
export const phraseWord = (word: string): string => (isNumber(word) ? NUMBER : plainWord(word));
