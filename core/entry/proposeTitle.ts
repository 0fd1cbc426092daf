import { linesOf, textOfInlines, type Passage } from '#core/passage';

const LONGEST = 48;
const DANGLING = /[\s,;:–—-]+(?:(?:a|an|and|as|at|by|for|from|in|is|of|on|or|the|to|was|with)[\s,;:–—-]*)?$/i;

/**
 * A title for a wording, from its own first words: at most 48 characters, cut at a word, never ending on a
 * small one. Blanks are left out, so that nothing of a case gets into a title. '' when there are no words.
 */
export function proposeTitle(passage: Passage): string {
  const line = linesOf(passage).find((inlines) => /\p{L}/u.test(textOfInlines(inlines)));
  const words = textOfInlines((line ?? []).filter((inline) => inline.type !== 'blank')).trim();
  const sentence = /^[^\p{L}\p{N}]*(.*?)(?:[.!?](?:\s|$)|\n|$)/su.exec(words)?.[1] ?? '';
  let title = sentence.replace(/\s+/g, ' ').replace(/ ([,;:])/g, '$1');
  if (title.length > LONGEST) {
    title = title.slice(0, LONGEST + 1);
    title = title.slice(0, Math.max(title.lastIndexOf(' '), LONGEST / 2));
  }
  while (DANGLING.test(title)) title = title.replace(DANGLING, '');
  return title.replace(/^\p{Ll}/u, (letter) => letter.toLocaleUpperCase());
}
