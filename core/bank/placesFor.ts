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
