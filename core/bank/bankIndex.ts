import { DEFAULT_CUE_RULES, keysInWords, resolveCue, type ResolvedCue } from '#core/cue';
import { findable, Finder } from '#core/finder';
import { addOrdinaryWords } from '#core/privacy';
import type { Bank, Entry } from './bank';
import type { Collection } from './collection';

/** The bank as the screens use it: entries at hand and collections by id, everything at hand findable. */
export interface BankIndex {
  bank: Bank;
  entries: ReadonlyMap<string, Entry>;
  collections: ReadonlyMap<string, Collection>;
  /** Collections whose entries are not at hand. */
  away: ReadonlySet<string>;
  /** What became of entries that were merged into others: the id of each, and the entry that it is now. */
  readonly became: ReadonlyMap<string, Entry>;
  readonly finder: Finder;
  /** Words that stand somewhere in wordings in small letters: names that are among them may be meant as the word. */
  readonly ordinary: ReadonlySet<string>;
}

/** The cue an entry is brought by, its rules settled; null when it has none. */
export function firstCue(entry: Entry, collection: Collection | undefined): ResolvedCue | null {
  const [cue] = entry.content.cues;
  return cue ? resolveCue(entry.id, cue, collection ?? { leadIn: '', cueRules: DEFAULT_CUE_RULES }) : null;
}

/** The cue an entry is brought by, with its lead-in; null when it has none. */
export const typedCue = (entry: Entry, collection: Collection | undefined): string | null =>
  firstCue(entry, collection)?.typed ?? null;

/** The keys that bring an entry, as they are said; null when it has no cue. */
export function keysOfEntry(entry: Entry, collection: Collection | undefined): string | null {
  const cue = firstCue(entry, collection);
  return cue && keysInWords(cue);
}

/**
 * The bank with each entry once. While one moves, a page may have heard of its new collection and not yet of its old one: where
 * it came last is where it is.
 */
function eachOnce(bank: Bank): Bank {
  const entries = [...new Map(bank.entries.map((entry) => [entry.id, entry])).values()];
  return entries.length === bank.entries.length ? bank : { ...bank, entries };
}

/** What screens ask of a bank, indexed. */
export function makeIndex(given: Bank): BankIndex {
  const bank = eachOnce(given);
  const collections = new Map(bank.collections.map((collection) => [collection.id, collection]));
  const entries = new Map(bank.entries.map((entry) => [entry.id, entry]));
  let finder: Finder | null = null;
  let ordinary: Set<string> | null = null;
  const readOrdinary = () => {
    const words = new Set<string>();
    for (const { content } of bank.entries) addOrdinaryWords(content, words);
    return words;
  };
  const makeFinder = () =>
    new Finder(
      bank.entries.map(({ id, content, collection }) =>
        findable(id, content, collections.get(collection)?.leadIn ?? ''),
      ),
    );
  return {
    bank,
    entries,
    collections,
    away: new Set(bank.away),
    became: new Map(bank.entries.flatMap((entry) => (entry.merged ?? []).map((id) => [id, entry] as const))),
    // Only who looks for something waits for its words to be put in order.
    get finder() {
      return (finder ??= makeFinder());
    },
    get ordinary() {
      return (ordinary ??= readOrdinary());
    },
  };
}

/** The entry of an id, or what became of it; undefined where neither is at hand. */
export const entryIn = (index: BankIndex, id: string): Entry | undefined =>
  index.entries.get(id) ?? index.became.get(id);
