import type { Collection, Entry } from '#core/bank';
import type { EntryContent } from '#core/entry';
import type { CollectionFile } from './collectionFile';
import { compareArriving, settleCues, type EntryArrival, type SettledCues } from './compareArriving';
import { mergedInto } from './mergedInto';

/** What becomes of an arriving entry: it comes as a new one, as the next revision of its like, into its like, or not at all. */
export type Choice = 'new' | 'replace' | 'merge' | 'leave';

/** An arriving entry with what becomes of it, and of its cues. */
export interface Planned extends EntryArrival {
  choice: Choice;
  cues: SettledCues['changed'];
}

/** What of a file is brought in, as it is asked of the server. */
export interface TakeOverBody {
  /** The file's own collections that anything goes into or that are around these, from the top down. */
  collections: CollectionFile['collections'];
  /** Those of them that are collections here, by their ids here; the others are made. */
  places: Record<string, string>;
  /** Each with the entry here that it becomes the next revision of; null for a new one. */
  entries: {
    id: string;
    collection: string;
    content: EntryContent;
    replaces: { entry: string; revision: number } | null;
  }[];
  /** What entries of the file that do not come are called here, by their ids in the file. */
  known: Record<string, string>;
}

/** What bringing a file in comes to: each arriving entry, and what the server is asked. */
export interface TakeOverPlan {
  arrivals: Planned[];
  body: TakeOverBody;
}

/** Collections here, by the ids of those of the file that go into them. */
export type Homes = ReadonlyMap<string, Pick<Collection, 'id' | 'cuesBy'>>;

/** All of a file into one collection. */
export const allInto = (
  { collections }: Pick<CollectionFile, 'collections'>,
  home: Pick<Collection, 'id' | 'cuesBy'>,
): Homes => new Map(collections.map(({ id }) => [id, home]));

/** Unless something else is chosen, what is new comes, and what stands here stays as it is. */
const usual = ({ state }: EntryArrival): Choice => (state === 'new' ? 'new' : 'leave');

const cuesOf = ({ content: { cues, retired } }: Pick<Entry, 'content'>) =>
  retired ? [] : cues.map(({ text }) => text.toLowerCase());

/** Collections of a file that are needed: those with entries that come, all around these, and the first. */
function neededCollections(
  all: CollectionFile['collections'],
  used: ReadonlySet<string>,
): CollectionFile['collections'] {
  const byId = new Map(all.map((one) => [one.id, one]));
  const needed = new Set([all[0]!.id]);
  for (const id of used)
    for (
      let at = byId.get(id);
      at && !needed.has(at.id);
      at = at.parent === null ? undefined : byId.get(at.parent)
    )
      needed.add(at.id);
  return all.filter(({ id }) => needed.has(id));
}

/**
 * What bringing a file in comes to, as chosen.
 * @param homes the collections here that those of the file go into; those that are in none are made
 * @param there the entries of these collections
 */
export function planTakeOver(
  file: Pick<CollectionFile, 'collections' | 'entries'>,
  homes: Homes,
  there: readonly Entry[],
  choices: ReadonlyMap<string, Choice>,
): TakeOverPlan {
  const places = new Map(file.entries.map(({ id, collection }) => [id, collection]));
  const rules = new Map(file.collections.map((one) => [one.id, one.cuesBy]));
  const found = compareArriving(file.entries, there).map((one) => ({
    ...one,
    choice: choices.get(one.id) ?? usual(one),
  }));
  const given = new Set(
    found.flatMap(({ choice, standing }) =>
      choice === 'replace' || choice === 'merge' ? [standing!.id] : [],
    ),
  );
  const taken = new Map<string, Set<string>>();
  for (const { id, collection, content } of there) {
    const own = taken.get(collection) ?? new Set();
    taken.set(collection, own);
    if (!given.has(id)) for (const cue of cuesOf({ content })) own.add(cue);
  }
  const takenIn = (place: string) => {
    const own = taken.get(place) ?? new Set<string>();
    taken.set(place, own);
    return own;
  };
  const entries: TakeOverBody['entries'] = [];
  const known: TakeOverBody['known'] = {};
  const arrivals = found.map((one): Planned => {
    const { id, choice, standing } = one;
    if (choice === 'leave') {
      if (standing) known[id] = standing.id;
      return { ...one, cues: [] };
    }
    const collection = places.get(id)!;
    const home = homes.get(collection);
    const used = takenIn(home?.id ?? collection);
    const arriving = choice === 'merge' ? mergedInto(standing!.content, one.content) : one.content;
    const { content, changed } = settleCues(arriving, used, home?.cuesBy ?? rules.get(collection));
    for (const cue of cuesOf({ content })) used.add(cue);
    const replaces = choice === 'new' ? null : { entry: standing!.id, revision: standing!.revision };
    entries.push({ id, collection, content, replaces });
    return { ...one, cues: changed };
  });
  const collections = neededCollections(
    file.collections,
    new Set(entries.map(({ collection }) => collection)),
  );
  const here = Object.fromEntries(
    collections.flatMap(({ id }) => {
      const home = homes.get(id);
      return home ? [[id, home.id]] : [];
    }),
  );
  return { arrivals, body: { collections, places: here, entries, known } };
}
