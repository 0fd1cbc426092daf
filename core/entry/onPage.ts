import type { EntryContent, Wording } from './entry';
import { isOnPage } from './pageAddress';

/**
 * The wording that an entry has for a page: the one that names it most closely, and of several alike the one in the language of what is
 * around it. Null where it has none.
 */
export function wordingOnPage(
  { wordings }: Pick<EntryContent, 'wordings'>,
  address: string,
  language?: string,
): Wording | null {
  const found = wordings.filter(({ onPage }) => onPage !== undefined && isOnPage(onPage, address));
  const closest = Math.max(0, ...found.map(({ onPage }) => onPage!.length));
  const best = found.filter(({ onPage }) => onPage!.length === closest);
  return best.find((one) => one.language === language) ?? best[0] ?? null;
}
