import type { CaseRecord } from '#core/record';
import { MOST_TERMS, TERM_LENGTH, type Transcript } from './cast';

/** Details of a case that are longer are no name of anything. */
const LONGEST_DETAIL = 60;
/** Parts of a name that are shorter are typed as quickly as they are offered. */
const SHORTEST_PART = 3;

const spaced = (text: string) => text.replace(/\s+/g, ' ').trim();

/** The words as a term: on one line, without marks at its ends; '' where nothing is left. */
export const asTerm = (text: string): string =>
  spaced(text)
    .replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}.]+$/gu, '')
    .replace(/\.$/, '')
    .slice(0, TERM_LENGTH)
    .trim();

/** The terms with one more at their head; null where it is among them, is nothing, or there are as many as can be. */
export function withTerm(terms: readonly string[], words: string): string[] | null {
  const term = asTerm(words);
  if (term === '' || terms.includes(term) || terms.length >= MOST_TERMS) return null;
  return [term, ...terms];
}

/** Terms as they are written one to a line: each once, no longer and no more than can be kept. */
export const termsOfLines = (lines: string): string[] =>
  [...new Set(lines.split('\n').map(asTerm))].filter((term) => term !== '').slice(0, MOST_TERMS);

/** A name with its longer parts, since one is spoken of by either. */
const nameWithParts = (name: string): string[] => [
  name,
  ...name.split(/[\s,]+/).filter((part) => part.length >= SHORTEST_PART),
];

/** What is offered while a recording is written down, each once: its own terms, its speakers, and the names its case knows. */
export function termsToOffer(
  { terms = [], cast }: Pick<Transcript, 'terms' | 'cast'>,
  details: CaseRecord['details'],
): string[] {
  const known = details.flatMap(({ value }) =>
    value.kind === 'text' && value.text.length <= LONGEST_DETAIL ? [spaced(value.text)] : [],
  );
  const names = cast.flatMap(({ name }) => nameWithParts(name));
  return [...new Set([...terms, ...names, ...known])].filter((term) => asTerm(term) !== '');
}
