import type { Bank, BodyOf, Entry, ResponseOf } from '#contracts';
import { isSame } from '#core/difference';

type Changes = ResponseOf<'collectionChanges'>;

const keyOf = ({ id, collection }: Pick<Entry, 'id' | 'collection'>) => `${collection} ${id}`;

/**
 * Entries with what came and went since: of two states of one the newer stands. Known by their collections too: a move makes no
 * revision, so that of an entry in two places nobody can tell which is older; what it left says so with its own changes.
 */
function withChanges(had: readonly Entry[], { entries, gone }: Pick<Bank, 'entries' | 'gone'>): Entry[] {
  const byKey = new Map(had.map((entry) => [keyOf(entry), entry]));
  for (const { entry, collection } of gone) byKey.delete(keyOf({ id: entry, collection }));
  for (const entry of entries)
    if ((byKey.get(keyOf(entry))?.revision ?? 0) <= entry.revision) byKey.set(keyOf(entry), entry);
  return [...byKey.values()];
}

/** What to ask for what changed with: what a page has at hand, and entries it has by themselves. */
export function askedWith({ collections, away, entries }: Bank): BodyOf<'bankChanges'> & { loose: string[] } {
  const isAway = new Set(away);
  return {
    had: Object.fromEntries(
      collections.filter(({ id }) => !isAway.has(id)).map(({ id, changes }) => [id, changes]),
    ),
    loose: entries.filter(({ collection }) => isAway.has(collection)).map(({ id }) => id),
  };
}

/**
 * The count of changes that a page has each collection at that is at hand: it has all that came and went below it. What an
 * answer says of an earlier count is old news, however late it arrives.
 */
function countsAtHand({ collections, away }: Bank): ReadonlyMap<string, number> {
  const isAway = new Set(away);
  return new Map(collections.flatMap(({ id, changes }) => (isAway.has(id) ? [] : [[id, changes]])));
}

/**
 * A page's bank with the answer to what changed. `had` is the bank it was asked with, `now` the one that stands when the answer
 * comes: what came to hand meanwhile stays. The very same where nothing has changed.
 */
export function withBank(now: Bank, had: Bank, next: Bank): Bank {
  const { counts, away } = next;
  const asked = askedWith(had);
  // Of entries that one had by themselves, those that were not given again are gone.
  const given = new Set(next.entries.map(keyOf));
  const loose = new Set(asked.loose);
  const isDropped = (entry: Entry) => loose.has(entry.id) && !given.has(keyOf(entry));
  const isNews = next.entries.length > 0 || next.gone.length > 0 || had.entries.some(isDropped);
  if (!isNews && isSame([next.collections, away], [had.collections, had.away])) return now;
  const known = countsAtHand(now);
  const answered = new Map(next.collections.map(({ id, changes }) => [id, changes]));
  const isAway = new Set(away.filter((id) => !known.has(id)));
  // Of a collection that is away in the answer and came to hand meanwhile, the page knows better.
  const isNewer = (id: string) =>
    known.has(id) ? !away.includes(id) && answered.get(id)! >= known.get(id)! : true;
  const changes = {
    entries: next.entries.filter(({ collection }) => isNewer(collection)),
    gone: next.gone.filter(({ collection }) => isNewer(collection)),
  };
  const isWhole = (id: string) => answered.has(id) && !away.includes(id) && !(id in asked.had) && isNewer(id);
  const kept = now.entries.filter(({ collection }) => !isWhole(collection));
  const entries = withChanges(kept, changes).filter(
    (entry) => answered.has(entry.collection) && !(isAway.has(entry.collection) && isDropped(entry)),
  );
  const collections = next.collections.map((one) => ({
    ...one,
    changes: isNewer(one.id) ? one.changes : known.get(one.id)!,
  }));
  return { collections, counts, away: [...isAway], entries, gone: [] };
}

/** A page's bank with what changed in one collection, or with all of it, which is at hand from now on. */
export function withCollection(now: Bank, id: string, next: Changes, isWhole: boolean): Bank {
  const known = countsAtHand(now);
  // Out of sight meanwhile, it is nobody's on this page.
  const isSeen = known.has(id) || now.away.includes(id);
  if (!isSeen || (known.get(id) ?? -1) > next.changes) return now;
  // All of it is given: what is not in that is not there.
  const kept = now.entries.filter(({ collection }) => !isWhole || collection !== id);
  const entries = withChanges(kept, {
    ...next,
    entries: next.entries.filter(({ collection }) => collection === id || now.away.includes(collection)),
  });
  const count = entries.filter(({ collection }) => collection === id).length;
  const { [id]: _, ...others } = now.counts;
  return {
    collections: now.collections.map((one) => (one.id === id ? { ...one, changes: next.changes } : one)),
    counts: count === 0 ? others : { ...others, [id]: count },
    away: now.away.filter((one) => one !== id),
    entries,
    gone: [],
  };
}

/** A page's bank with some entries by themselves, of collections that are away: of the others it has all there is. */
export function withEntries(now: Bank, entries: readonly Entry[]): Bank {
  const isAway = new Set(now.away);
  const loose = entries.filter(({ collection }) => isAway.has(collection));
  if (loose.length === 0) return now;
  // Wherever they were by themselves before, they are there no more.
  const ids = new Set(loose.map(({ id }) => id));
  const kept = now.entries.filter(({ id, collection }) => !(ids.has(id) && isAway.has(collection)));
  return { ...now, entries: withChanges(kept, { entries: loose, gone: [] }) };
}

/** A page's bank without an entry that it had by itself, and that is not there any more. */
export function withoutEntry(now: Bank, id: string): Bank {
  const isAway = new Set(now.away);
  return {
    ...now,
    entries: now.entries.filter((one) => one.id !== id || !isAway.has(one.collection)),
  };
}
