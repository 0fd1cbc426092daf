import { call, callsGoTo } from '#client/api';
import type { Entry } from '#contracts';
import {
  collectionsAround,
  makeIndex,
  typedCue,
  variationOf,
  type BankIndex,
  type Collection,
} from '#core/bank';
import { excerptOfEntry, isOnPage, wordingOnPage } from '#core/entry';
import { includedIn } from '#core/fill';
import { findable, Finder } from '#core/finder';
import { compilePatterns, findPattern, type PatternCue } from '#core/pattern';
import { signatureFor, signedWith } from '#core/signing';
import type { EntryToFill, FoundEntry, ListedCollection, Questions } from '../messages';
import { ANY_WORK } from './packCues';
import { keepLoose } from './renew';
import { joined } from './settings';
import { allEntries, entryOf, part, type BankHead } from './store';

/** So many are listed. */
const MOST_FOUND = 30;
/** So much of a wording is shown in a list. */
const SHOWN_LETTERS = 120;

/** All that stands within an entry, and within that, and so on. */
async function includedOf(entry: Entry): Promise<Entry[]> {
  const found = new Map<string, Entry>();
  let ids = entry.content.wordings.flatMap(includedIn);
  while (ids.length > 0) {
    const next = (await Promise.all(ids.map(entryOf))).filter((one): one is Entry => one !== undefined);
    for (const one of next) found.set(one.id, one);
    ids = next.flatMap(({ content }) => content.wordings.flatMap(includedIn)).filter((id) => !found.has(id));
  }
  return [...found.values()];
}

/** Whether an entry should have a wording of its own for a page, since others of its collection have one, and has none. */
const isMissingOn = (address: string, { ownWays }: BankHead, { collection, content }: Entry): boolean =>
  (ownWays[collection] ?? []).some((page) => isOnPage(page, address)) &&
  wordingOnPage(content, address) === null;

/** All it takes to fill an entry on a page (host and path); null where it is not in the bank of this browser any more. */
export async function entryToFill(id: string, address: string): Promise<EntryToFill | null> {
  const [entry, head, beginning] = await Promise.all([entryOf(id), part('head'), part('beginning')]);
  if (!entry || !head || !beginning) return null;
  const collections = new Map(head.collections.map((one) => [one.id, one]));
  const around = collectionsAround(entry.collection, collections);
  const of = { case: '', kind: ANY_WORK, collections: around };
  const writer = signedWith(beginning.member, signatureFor(beginning, of));
  const included = await includedOf(entry);
  const missing = included.filter((one) => isMissingOn(address, head, one)).map((one) => one.id);
  return { entry, included, missing, writer };
}

const toFound = (entry: Entry, collections: ReadonlyMap<string, Collection>): FoundEntry => ({
  id: entry.id,
  title: entry.content.title,
  cue: typedCue(entry, collections.get(entry.collection)),
  collection: collections.get(entry.collection)?.name ?? '',
  words: excerptOfEntry(entry.content, SHOWN_LETTERS),
});

/** What is looked for while a list is open: let go of when the bank is another, or nobody has asked for a while. */
let searched: { print: string; finder: Finder; entries: ReadonlyMap<string, Entry> } | null = null;

let indexed: { print: string; index: BankIndex } | null = null;

/** The bank of this browser, with what is made of it to be read quickly: made once for the look-up and for offers. */
export async function indexOfBank(print: string): Promise<BankIndex> {
  if (indexed?.print === print) return indexed.index;
  const head = (await part('head')) ?? { collections: [], counts: {}, away: [] };
  const index = makeIndex({ ...head, entries: await allEntries(), gone: [] });
  indexed = { print, index };
  return index;
}

async function searchedBank() {
  const print = (await part('print')) ?? '';
  if (searched?.print === print) return searched;
  const index = await indexOfBank(print);
  const { collections } = index;
  // In place of a shared entry its variation, where there is one; and nothing that is not used any more.
  const used = index.bank.entries.filter(
    ({ id, content }) => !content.retired && !variationOf(id, index.bank.entries, index.collections),
  );
  const finder = new Finder(
    used.map(({ id, content, collection }) =>
      findable(id, content, collections.get(collection)?.leadIn ?? ''),
    ),
  );
  searched = { print, finder, entries: new Map(used.map((entry) => [entry.id, entry])) };
  return searched;
}

/** Entries that have some words, best first; of collections that are away the server is asked, where it can be. */
export async function findEntries(words: string): Promise<FoundEntry[]> {
  const { finder, entries } = await searchedBank();
  const head = await part('head');
  const collections = new Map((head?.collections ?? []).map((one) => [one.id, one]));
  const found = finder.find(words).flatMap((id) => entries.get(id) ?? []);
  const to = await joined();
  if (head && head.away.length > 0 && words.trim() !== '' && to) {
    callsGoTo(to);
    const away = await call('search', { body: { query: words.slice(0, 200) } }).catch(() => null);
    const known = new Set(found.map(({ id }) => id));
    const others = (away?.entries ?? []).filter(({ id }) => !known.has(id)).slice(0, MOST_FOUND);
    await Promise.all(others.map(keepLoose));
    found.push(...others);
  }
  return found.slice(0, MOST_FOUND).map((entry) => toFound(entry, collections));
}

/** All collections with their entries, in their order. */
export async function listBank(): Promise<ListedCollection[]> {
  const { entries } = await searchedBank();
  const all = (await part('head'))?.collections ?? [];
  const collections = new Map(all.map((one) => [one.id, one]));
  const byCollection = new Map<string, Entry[]>(all.map(({ id }) => [id, []]));
  for (const entry of entries.values()) byCollection.get(entry.collection)?.push(entry);
  return all.map(({ id, name, parent }) => ({
    ...{ id, name, parent },
    entries: (byCollection.get(id) ?? [])
      .map((entry) => toFound(entry, collections))
      .sort((a, b) => a.title.localeCompare(b.title)),
  }));
}

let compiled: { print: string; patterns: PatternCue[] } | null = null;

/** The pattern that a line ends with, closed by a key; null for none. */
export async function patternIn(line: string, closer: Questions['pattern']['with']['closer']) {
  const print = (await part('print')) ?? '';
  if (compiled?.print !== print)
    compiled = { print, patterns: compilePatterns((await part('patterns')) ?? []) };
  const closed = compiled.patterns.filter(({ cue }) => cue.rules.closers.includes(closer));
  return closed.length > 0 ? findPattern(closed, line) : null;
}
