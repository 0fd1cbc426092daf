import { slips } from '#core/difference';
import { slackOf } from './words';

/** Which letters a word has, as a set of bits. */
function lettersOf(word: string): number {
  let letters = 0;
  for (let at = 0; at < word.length; at += 1) letters |= 1 << (word.charCodeAt(at) & 31);
  return letters;
}

function bitsIn(set: number): number {
  let count = 0;
  for (let left = set; left !== 0; left &= left - 1) count += 1;
  return count;
}

/**
 * Those of many words that a misspelt one may have been meant for, nearest first: one slip in four to seven letters, two
 * from eight. All words in their plain form.
 */
export function nearWords(word: string, among: readonly string[]): string[] {
  const slack = slackOf(word);
  if (slack === 0) return [];
  const letters = lettersOf(word);
  return (
    among
      // A slip takes away one letter and brings one at the most: most words are known to be too far off by that alone.
      .filter((one) => bitsIn(letters ^ lettersOf(one)) <= 2 * slack)
      .map((one) => ({ one, off: slips(word, one) }))
      .filter(({ off }) => off > 0 && off <= slack)
      .sort((a, b) => a.off - b.off)
      .map(({ one }) => one)
  );
}
