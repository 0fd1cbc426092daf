import MiniSearch from 'minisearch';
import type { Findable } from './findable';
import { stemOf } from './stem';
import { searchWords } from './words';

/** An entry that may be meant for a text, and the words of the text, by their stems, that it has. */
export interface Near {
  id: string;
  words: string[];
}

/** Words that nearly every text has say nothing of what it is about: those in so many of the entries are left out. */
const COMMON_SHARE = 0.5;
const FEW = 8;
/** What is so much further off than the nearest is about something else. */
const LEAST_SHARE = 0.25;
/** One word in common is chance, unless there is nothing else to go by, or it is what few entries are about. */
const LEAST_WORDS = 2;
/** So few have a word in their title, tags or purpose that it says what they are about. */
const RARE = 3;
/** Shorter ones are about nothing: "for", "out". */
const TELLING_LENGTH = 4;

/**
 * The entries nearest to a text (a problem, a sentence, a whole message), best first, by the words they share, rare ones
 * counting most (BM25+, Lv and Zhai 2011, as MiniSearch has it), in whatever form they are. None that shares but one word of a
 * text of several, unless few entries are about it.
 */
export function nearest(text: string, among: readonly Findable[], most: number): Near[] {
  const asked = new Set(searchWords(text).map(stemOf));
  const having = new Map<string, number>();
  const about = new Map<string, Set<string>>();
  const searched = new MiniSearch<Findable>({
    fields: ['title', 'tags', 'purpose', 'wording'],
    extractField: (entry, field) => {
      const value = entry[field as keyof Findable];
      return Array.isArray(value) ? value.join(' ') : value;
    },
    tokenize: searchWords,
    processTerm: (word) => stemOf(word) || null,
    searchOptions: { boost: { title: 3, tags: 2, purpose: 2 }, combineWith: 'OR' },
  });
  searched.addAll(among);
  for (const { id, title, tags, purpose, wording } of among) {
    const head = new Set(searchWords([title, ...tags, purpose].join(' ')).map(stemOf));
    const words = new Set([...head, ...searchWords(wording).map(stemOf)]);
    for (const word of words) if (asked.has(word)) having.set(word, (having.get(word) ?? 0) + 1);
    for (const word of head) if (asked.has(word)) about.set(word, (about.get(word) ?? new Set()).add(id));
  }
  const isAbout = (id: string, word: string) => {
    const those = about.get(word);
    return word.length >= TELLING_LENGTH && those !== undefined && those.size <= RARE && those.has(id);
  };
  const isTelling = (word: string) =>
    word.length > 2 && (among.length < FEW || having.get(word)! <= COMMON_SHARE * among.length);
  const telling = [...having.keys()].filter(isTelling);
  if (telling.length === 0) return [];
  const least = Math.min(LEAST_WORDS, asked.size);
  const found = searched.search(telling.join(' '));
  return found
    .filter(({ score }) => score >= LEAST_SHARE * found[0]!.score)
    .map(({ id, match }) => ({ id: String(id), words: Object.keys(match) }))
    .filter(({ id, words }) => words.length >= least || words.some((word) => isAbout(id, word)))
    .slice(0, most);
}
