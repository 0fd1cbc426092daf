import type { Paper } from './paper';

/** A number that a paper may be named by, with the words before it. */
export interface NumberOfPaper {
  number: string;
  context: string;
}

/** What calls itself a number: a word for it, what joins, and letters and figures with at least one figure. */
const CALLED =
  /\b((?:invoice|account|customer|reference|ref|order|policy|bill|statement|case|meter|sheet|permit|licen[cs]e|certificate|receipt)(?:\s+(?:no|number|nr|ref|id))?|no|nr|number)\b\.?\s*[:#.]?\s*((?=[A-Z0-9/_-]*\d)[A-Z0-9]+(?:[-/_][A-Z0-9]+)*)(?![\d.]*[A-Z\d])/gi;

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The shape of a number by one like it: each figure stands for any figure, each letter for any letter of its case, and all else for itself. */
function shapeOf(example: string): RegExp {
  const shape = [...example].map((sign) => {
    if (/\d/.test(sign)) return '\\d';
    if (/\p{Lu}/u.test(sign)) return '\\p{Lu}';
    return /\p{Ll}/u.test(sign) ? '\\p{Ll}' : escaped(sign);
  });
  return new RegExp(`(?<![\\p{L}\\d])${shape.join('')}(?![\\p{L}\\d])`, 'gu');
}

/** So many numbers are told of one paper. */
const MOST_NUMBERS = 6;

/**
 * The numbers that a paper may be named by, the likeliest first: those of a shape that the team uses, given by examples ("HM-2026-0042"), then
 * those that a word before them calls so.
 */
export function numbersOfPaper({ text, title, name }: Paper, examples: readonly string[]): NumberOfPaper[] {
  const found = new Map<string, NumberOfPaper>();
  const add = (number: string, context: string) => {
    if (!found.has(number)) found.set(number, { number, context });
  };
  for (const example of examples.filter((one) => /\d/.test(one)))
    for (const words of [text, title, name])
      for (const [number] of words.matchAll(shapeOf(example.trim()))) add(number, `like ${example.trim()}`);
  for (const [, called, number] of text.matchAll(CALLED)) add(number!, called!.replace(/\s+/g, ' '));
  return [...found.values()].slice(0, MOST_NUMBERS);
}
