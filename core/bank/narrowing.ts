import { isOfLanguage } from '#core/terms';
import type { Entry } from './bank';
import type { Collection } from './collection';

/** Which entries of the bank are wanted; '' and 'any' leave all. */
export interface Narrowing {
  kind: string;
  language: string;
  tag: string;
  state: 'any' | 'in-use' | 'retired' | 'no-cue' | 'due' | 'variation';
  used: 'any' | 'by-me' | 'not-by-me' | 'never';
  whose: 'any' | 'own' | 'saved-by-me';
}

/** The narrowing that leaves all entries. */
export const ALL: Narrowing = { kind: '', language: '', tag: '', state: 'any', used: 'any', whose: 'any' };

/** What must be known besides the entry: who looks, what was used by whom, what is due. */
export interface NarrowedBy {
  member: string;
  usedByMe: ReadonlySet<string>;
  used: ReadonlySet<string>;
  due: ReadonlySet<string>;
}

/** How many of the filters are set. */
export const setFilters = (narrowing: Narrowing): number =>
  (Object.keys(ALL) as (keyof Narrowing)[]).filter((key) => narrowing[key] !== ALL[key]).length;

const STATES: Record<Narrowing['state'], (entry: Entry, by: NarrowedBy) => boolean> = {
  any: () => true,
  'in-use': ({ content }) => !content.retired,
  retired: ({ content }) => content.retired === true,
  'no-cue': ({ content }) => content.cues.length === 0,
  due: ({ id }, { due }) => due.has(id),
  variation: ({ varies }) => varies !== null,
};
const USES: Record<Narrowing['used'], (entry: Entry, by: NarrowedBy) => boolean> = {
  any: () => true,
  'by-me': ({ id }, { usedByMe }) => usedByMe.has(id),
  'not-by-me': ({ id }, { usedByMe }) => !usedByMe.has(id),
  never: ({ id }, { used }) => !used.has(id),
};
const OWNERS: Record<Narrowing['whose'], (entry: Entry, collection: Collection, member: string) => boolean> =
  {
    any: () => true,
    own: (_, { own }) => own,
    'saved-by-me': ({ savedBy }, _, member) => savedBy === member,
  };

/** Whether an entry of a collection is among those wanted. A collection that names no kind of work is for every one. */
export function isWanted(
  entry: Entry,
  collection: Collection,
  narrowing: Narrowing,
  by: NarrowedBy,
): boolean {
  const { kind, language, tag, state, used, whose } = narrowing;
  const { content } = entry;
  if (kind !== '' && collection.kindsOfWork.length > 0 && !collection.kindsOfWork.includes(kind))
    return false;
  if (language !== '' && !content.wordings.some((wording) => isOfLanguage(wording.language, language)))
    return false;
  if (tag !== '' && !content.tags.includes(tag)) return false;
  return STATES[state](entry, by) && USES[used](entry, by) && OWNERS[whose](entry, collection, by.member);
}
