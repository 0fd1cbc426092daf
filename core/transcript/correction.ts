/** Words of a text that were put right, and what they are now. */
export interface Correction {
  from: string;
  to: string;
  /** Whether the words begin a sentence: their capital says nothing then. */
  isFirst: boolean;
}

/** A term has so many words at the most. */
const MOST_WORDS = 4;
const SHORTEST = 3;

const bare = (words: string) => words.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, '');

/**
 * What was put right in a line between two of its states: one stretch of at most four words that is another stretch now. Null where
 * words were added, taken away or written anew, or differ by nothing but the marks around them.
 */
export function correctionOf(before: string, after: string): Correction | null {
  const [was, is] = [before, after].map((line) => line.split(/\s+/).filter(Boolean)) as [string[], string[]];
  let start = 0;
  while (start < was.length && start < is.length && was[start] === is[start]) start += 1;
  let end = 0;
  while (end < was.length - start && end < is.length - start && was.at(-1 - end) === is.at(-1 - end))
    end += 1;
  const [wasWords, isWords] = [was.slice(start, was.length - end), is.slice(start, is.length - end)];
  if ([wasWords, isWords].some(({ length }) => length === 0 || length > MOST_WORDS)) return null;
  const [from, to] = [wasWords, isWords].map((words) => bare(words.join(' '))) as [string, string];
  if (from === to || [from, to].some(({ length }) => length < SHORTEST) || !/\p{L}/u.test(from)) return null;
  const isFirst = start === 0 || /[.!?:]$/.test(was[start - 1]!);
  return { from, to, isFirst };
}

/**
 * Whether words that were put right are likely to be wrong everywhere: a name, several words, or what no list knows as a word. An
 * ordinary word was another one that time alone.
 */
export const isOfAll = ({ from, isFirst }: Correction, isWord: (word: string) => boolean): boolean =>
  /\s/.test(from) || (!isFirst && /^\p{Lu}/u.test(from)) || !isWord(from.toLowerCase());
