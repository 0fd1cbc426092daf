import { useMemo } from 'react';
import type { Bank, Collection, Entry } from '#contracts';
import { Finder } from '#core/finder';
import { plainText } from '#core/passage';
import { useBank } from '../api/queries';

/** The bank as the screens use it: entries and collections by id, everything findable. */
export interface BankIndex {
  bank: Bank;
  entries: ReadonlyMap<string, Entry>;
  collections: ReadonlyMap<string, Collection>;
  finder: Finder;
}

/** The cue an entry is brought by, with its lead-in; null when it has none. */
export function typedCue(entry: Entry, collection: Collection | undefined): string | null {
  const [cue] = entry.content.cues;
  if (!cue) return null;
  return cue.as ? cue.text : (collection?.leadIn ?? '') + cue.text;
}

function makeIndex(bank: Bank): BankIndex {
  const collections = new Map(bank.collections.map((collection) => [collection.id, collection]));
  const findable = bank.entries.map((entry) => ({
    id: entry.id,
    title: entry.content.title,
    purpose: entry.content.purpose,
    wording: entry.content.wordings
      .flatMap((wording) => wording.parts.map((part) => plainText(part.passage)))
      .join('\n'),
    cues: entry.content.cues.flatMap((cue) => [
      cue.text,
      (collections.get(entry.collection)?.leadIn ?? '') + cue.text,
    ]),
    tags: entry.content.tags,
  }));
  const entries = new Map(bank.entries.map((entry) => [entry.id, entry]));
  return { bank, entries, collections, finder: new Finder(findable) };
}

/** The member's bank, indexed anew whenever it changes; null until it is there. */
export function useBankIndex(): BankIndex | null {
  const { data } = useBank();
  return useMemo(() => (data ? makeIndex(data) : null), [data]);
}
