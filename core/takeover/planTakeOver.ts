import type { Collection, Entry } from '#core/bank';
import type { EntryContent } from '#core/entry';
import type { CollectionFile } from './collectionFile';
import { compareArriving, settleCues, type EntryArrival, type SettledCues } from './compareArriving';

/** What becomes of an arriving entry: it comes as a new one, as the next revision of its like, or not at all. */
export type Choice = 'new' | 'replace' | 'leave';

/** An arriving entry with what becomes of it, and of its cues. */
export interface Planned extends EntryArrival {
  choice: Choice;
  cues: SettledCues['changed'];
}

/** What of a file is taken over, as it is asked of the server. */
export interface TakeOverBody {
  /** The collection that all of it goes into; null where the file's own are made. */
  into: string | null;
  collections: CollectionFile['collections'];
  /** Each with the entry here that it becomes the next revision of; null for a new one. */
  entries: {
    id: string;
    collection: string;
    content: EntryContent;
    replaces: { entry: string; revision: number } | null;
  }[];
  /** What entries of the file that are not taken over are called here, by their ids in the file. */
  known: Record<string, string>;
}

/** What taking a file over comes to: each arriving entry, and what the server is asked. */
export interface TakeOverPlan {
  arrivals: Planned[];
  body: TakeOverBody;
}

/** Unless something else is chosen, what is new comes, and what stands here stays as it is. */
const usual = ({ state }: EntryArrival): Choice => (state === 'new' ? 'new' : 'leave');

const cuesOf = ({ content: { cues, retired } }: Pick<Entry, 'content'>) =>
  retired ? [] : cues.map(({ text }) => text.toLowerCase());

/** What taking a file over comes to, as chosen, into a collection with the entries that stand there (none for the file's own). */
export function planTakeOver(
  file: CollectionFile,
  into: Pick<Collection, 'id' | 'cuesBy'> | null,
  there: readonly Entry[],
  choices: ReadonlyMap<string, Choice>,
): TakeOverPlan {
  const places = new Map(file.entries.map(({ id, collection }) => [id, collection]));
  const found = compareArriving(file.entries, there).map((one) => ({
    ...one,
    choice: choices.get(one.id) ?? usual(one),
  }));
  const given = new Set(
    found.flatMap(({ choice, standing }) => (choice === 'replace' ? [standing!.id] : [])),
  );
  const taken = new Map<string, Set<string>>();
  const takenIn = (place: string) => {
    const before =
      taken.get(place) ??
      new Set(into === null ? [] : there.filter(({ id }) => !given.has(id)).flatMap(cuesOf));
    taken.set(place, before);
    return before;
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
    const used = takenIn(into?.id ?? collection);
    const home = into ?? file.collections.find(({ id: own }) => own === collection);
    const { content, changed } = settleCues(one.content, used, home?.cuesBy);
    for (const cue of cuesOf({ content })) used.add(cue);
    const replaces = choice === 'replace' ? { entry: standing!.id, revision: standing!.revision } : null;
    entries.push({ id, collection, content, replaces });
    return { ...one, cues: changed };
  });
  return { arrivals, body: { into: into?.id ?? null, collections: file.collections, entries, known } };
}
