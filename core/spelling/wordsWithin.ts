import { checkedWords } from './checkedWords';

/**
 * All words of the texts in a value made of objects, arrays and texts, such as the record of a case: names and terms in it are
 * spelt as they should be.
 */
export function wordsWithin(value: unknown): Set<string> {
  const words = new Set<string>();
  const read = (one: unknown) => {
    if (typeof one === 'string') for (const { word } of checkedWords(one)) words.add(word);
    else if (typeof one === 'object' && one !== null) Object.values(one).forEach(read);
  };
  read(value);
  return words;
}
