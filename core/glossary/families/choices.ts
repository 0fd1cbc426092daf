/** A term may stand for so many members at the most: more than that is no family but a language. */
export const MOST_MEMBERS = 400;

const CHOICE = /\{([^{}]*\|[^{}]*)\}/;
const CHOICES = new RegExp(CHOICE, 'g');

/** Whether a term is a family: some of its words are choices, as in `{he|she} {was|is}`. */
export const hasChoices = (text: string): boolean => CHOICE.test(text);

/** How many members a family has; 1 for a term without choices. */
export const memberCount = (text: string): number =>
  [...text.matchAll(CHOICES)].reduce((count, [, of]) => count * of!.split('|').length, 1);

function spelledOut(text: string): string[] {
  const choice = CHOICE.exec(text);
  if (!choice) return [text];
  const [whole, of] = choice;
  const behind = spelledOut(text.slice(choice.index + whole.length));
  const before = text.slice(0, choice.index);
  return of!.split('|').flatMap((one) => behind.map((rest) => before + one + rest));
}

/**
 * All that a family stands for, in the order in which its choices are written, the last of them changing first. The term alone where
 * it has no choices.
 * @param text with choices in braces, parted by bars: `{he|she|it} {was|is}{| not}`; `MOST_MEMBERS` members at the most
 */
export const membersOf = (text: string): string[] =>
  spelledOut(text).map((member) => member.replace(/ {2,}/g, ' ').trim());
