import { cutTo } from '#core/language';

const LONGEST = 60;

/** What a draft is called: as its author says, else by what is written on it. `excerpt` is how its text begins. */
export const titleOfDraft = ({ title, excerpt }: { title: string; excerpt: string }): string =>
  title || titleFromText(excerpt) || 'An empty leaf';

/**
 * What a leaf without a title is called by what is written on it: its first sentence, or as many whole words of it as a line
 * holds; null while nothing is written.
 */
export function titleFromText(text: string): string | null {
  const line = text.replace(/\s+/g, ' ').trim();
  const sentence = /^.+?[.!?](?=\s|$)/u.exec(line)?.[0] ?? line;
  const words = sentence.replace(/[.,;:]+$/, '');
  if (words === '') return null;
  if (words.length <= LONGEST) return words;
  const cut = cutTo(words, LONGEST);
  const whole = cut.slice(0, cut.lastIndexOf(' '));
  return `${whole === '' ? cut : whole} …`;
}
