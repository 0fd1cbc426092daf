import type { Entry } from './bank';
import type { Collection } from './collection';

/**
 * Entries as this member uses them: a variation stands in the place of what it varies, brought by the cues of that and in
 * its collection's reach, one's own before a group's; the variation by itself brings nothing. What varies an entry that is
 * not there is an entry like others.
 */
export function inPlace(entries: readonly Entry[], collections: ReadonlyMap<string, Collection>): Entry[] {
  const ids = new Set(entries.map(({ id }) => id));
  const varying = entries.filter(
    ({ varies, content }) => varies !== null && ids.has(varies.entry) && !content.retired,
  );
  if (varying.length === 0) return [...entries];
  const isOwn = (entry: Entry) => collections.get(entry.collection)?.own ?? false;
  const of = new Map<string, Entry>();
  for (const entry of varying) {
    const { entry: shared } = entry.varies!;
    if (!of.has(shared) || isOwn(entry)) of.set(shared, entry);
  }
  const standing = new Set(varying.map(({ id }) => id));
  return entries.flatMap((entry) => {
    if (standing.has(entry.id)) return [];
    const variation = of.get(entry.id);
    if (!variation || entry.content.retired) return [entry];
    const content = { ...variation.content, cues: entry.content.cues };
    return [{ ...variation, content, collection: entry.collection }];
  });
}

/** The variation of an entry that stands in its place for this member; undefined where none does. */
export function variationOf(
  entry: string,
  entries: readonly Entry[],
  collections: ReadonlyMap<string, Collection>,
): Entry | undefined {
  const all = entries.filter(({ varies, content }) => varies?.entry === entry && !content.retired);
  return all.find(({ collection }) => collections.get(collection)?.own) ?? all[0];
}
