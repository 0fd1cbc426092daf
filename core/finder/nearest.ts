import MiniSearch from 'minisearch';
import type { Findable } from './findable';
import { plainWord, wordsOf } from './words';

/** An entry that may be meant for a text, and the words of the text, in their plain form, that it has. */
export interface Near {
  id: string;
  words: string[];
}

/** Words that nearly every text has say nothing of what it is about: those in so many of the entries are left out. */
const COMMON_SHARE = 0.5;
const FEW = 8;
/** What is so much further off than the nearest is about something else. */
const LEAST_SHARE = 0.25;
/** One word in common is chance, unless there is nothing else to go by. */
const LEAST_WORDS = 2;

/**
 * The entries nearest to a text (a problem, a sentence, a whole message), best first, by the words they share, rare ones
 * counting most (BM25+, Lv and Zhai 2011, as MiniSearch has it). None that shares but one word of a text of several.
 */
export function nearest(text: string, among: readonly Findable[], most: number): Near[] {
  const asked = new Set(wordsOf(text).map(plainWord));
  const having = new Map<string, number>();
  const searched = new MiniSearch<Findable>({
    fields: ['title', 'tags', 'purpose', 'wording'],
    extractField: (entry, field) => {
      const value = entry[field as keyof Findable];
      return Array.isArray(value) ? value.join(' ') : value;
    },
    tokenize: wordsOf,
    processTerm: (word) => plainWord(word) || null,
    searchOptions: { boost: { title: 3, tags: 2, purpose: 2 }, combineWith: 'OR' },
  });
  searched.addAll(among);
  for (const { title, tags, purpose, wording } of among) {
    const words = new Set(wordsOf([title, ...tags, purpose, wording].join(' ')).map(plainWord));
    for (const word of words) if (asked.has(word)) having.set(word, (having.get(word) ?? 0) + 1);
  }
  const isTelling = (word: string) =>
    word.length > 2 && (among.length < FEW || having.get(word)! <= COMMON_SHARE * among.length);
  const telling = [...having.keys()].filter(isTelling);
  if (telling.length === 0) return [];
  const least = Math.min(LEAST_WORDS, asked.size);
  const found = searched.search(telling.join(' '));
  return found
    .filter(({ score }) => score >= LEAST_SHARE * found[0]!.score)
    .map(({ id, match }) => ({ id: String(id), words: Object.keys(match) }))
    .filter(({ words }) => words.length >= least)
    .slice(0, most);
}
