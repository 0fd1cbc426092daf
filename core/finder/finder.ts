import MiniSearch from 'minisearch';
import type { Findable } from './findable';
import { nearWords } from './nearWords';
import { stemOf } from './stem';
import { plainWord, slackOf, swapped, searchWords } from './words';

const index = () =>
  new MiniSearch<Findable>({
    fields: ['cues', 'title', 'tags', 'purpose', 'wording'],
    extractField: (entry, field) => {
      const value = entry[field as keyof Findable];
      return Array.isArray(value) ? value.join(' ') : value;
    },
    tokenize: searchWords,
    processTerm: (word) => plainWord(word) || null,
    searchOptions: { boost: { cues: 6, title: 4, tags: 2, purpose: 1.5 }, prefix: true },
  });

/** What another form of a word counts beside the word. */
const OF_A_FORM = 0.4;
/** What a word is begun by that says it anew or undoes it: who looks for "worming" means "dewormed" too. */
const BEGUN_BY = ['de', 're'];
/** Of shorter stems such words are others: "sign", "design". */
const SHORTEST_BEGUN = 4;

/** How the other forms of a word begin: with its stem, and with that after what begins a word anew. None for the word itself. */
function otherForms(word: string): string[] {
  const stem = stemOf(word);
  const isEnded = stem !== plainWord(word);
  return [
    ...(isEnded ? [stem] : []),
    ...(stem.length < SHORTEST_BEGUN || !isEnded ? [] : BEGUN_BY.map((begun) => begun + stem)),
  ];
}

/**
 * Finds entries by any word of title, purpose, wording, tag or cue, in any of its forms: all words wanted, the last may be
 * unfinished, and longer ones may be misspelt: two neighbouring letters swapped, one letter wrong in four to
 * seven, two from eight.
 */
export class Finder {
  private readonly search = index();
  private readonly order: string[];
  private readonly cues: { id: string; cue: string }[];

  constructor(entries: readonly Findable[]) {
    this.search.addAll(entries);
    this.order = entries.map((entry) => entry.id);
    this.cues = entries.flatMap(({ id, cues }) => cues.map((cue) => ({ id, cue: cue.toLowerCase() })));
  }

  /**
   * Ids of the entries that match, best first: those whose cue is typed, then by where the words stand.
   * All entries in their own order when nothing is asked.
   */
  find(query: string): string[] {
    const asked = query.trim().toLowerCase();
    if (asked === '') return this.order;
    const byCue = this.cues
      .filter(({ cue }) => cue.startsWith(asked))
      .sort((a, b) => a.cue.length - b.cue.length);
    const ids = [...byCue.map(({ id }) => id), ...this.ranked(query).map((result) => String(result.id))];
    return [...new Set(ids)];
  }

  /**
   * The words of a query that no entry has as they were typed, each with the word of the best entry that it was read as; none
   * where nothing is found, or all is found as it was typed.
   */
  readAs(query: string): { typed: string; as: string }[] {
    const [best] = query.trim() === '' ? [] : this.ranked(query);
    const had = Object.keys(best?.match ?? {});
    return searchWords(query).flatMap((typed) => {
      const plain = plainWord(typed);
      if (had.some((word) => [plain, ...otherForms(typed)].some((form) => word.startsWith(form)))) return [];
      const as =
        nearWords(plain, had)[0] ?? had.find((word) => swapped(plain).some((one) => word.startsWith(one)));
      return as === undefined ? [] : [{ typed, as }];
    });
  }

  /** The entries that have all words of a query, best first. */
  private ranked(query: string) {
    const queries = searchWords(query).map((word) => ({
      combineWith: 'OR' as const,
      queries: [
        word,
        // Only the word itself may be misspelt otherwise too: a slip within a slip is somebody else's word.
        { combineWith: 'OR' as const, fuzzy: false, queries: swapped(word) },
        // Another form of it tells less than the word itself.
        { combineWith: 'OR' as const, fuzzy: false, queries: otherForms(word), boostTerm: () => OF_A_FORM },
      ],
    }));
    return this.search.search(
      { combineWith: 'AND', queries },
      { fuzzy: slackOf, weights: { fuzzy: 0.3, prefix: 0.7 } },
    );
  }
}
