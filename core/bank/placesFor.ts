import type { Entry } from './bank';
import type { Collection } from './collection';
import type { BankIndex } from './bankIndex';

/** Where all of some entries can be moved: to what one keeps, but what is shared never into one's own wording. */
export function placesFor(
  entries: readonly Pick<Entry, 'collection'>[],
  { bank, collections }: Pick<BankIndex, 'bank' | 'collections'>,
): Collection[] {
  const areOwn = entries.every(({ collection }) => collections.get(collection)?.own);
  return bank.collections.filter(({ right, own }) => right === 'keep' && (areOwn || !own));
}

/** Why an entry cannot be moved to a collection, in words; null where it can. */
export function whyNotMoved(
  { collection, content: { title } }: Pick<Entry, 'collection' | 'content'>,
  to: string,
  index: Pick<BankIndex, 'bank' | 'collections'>,
): string | null {
  if (index.collections.get(collection)?.right !== 'keep')
    return `Only its keepers can move “${title}”. Nothing was moved.`;
  if (placesFor([{ collection }], index).some(({ id }) => id === to)) return null;
  return index.collections.get(to)?.own
    ? `“${title}” is shared: copy it to have wording of your own. Nothing was moved.`
    : `“${index.collections.get(to)?.name ?? ''}” is changed by its keepers only. Nothing was moved.`;
}
