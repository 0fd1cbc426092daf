import type { TermFound } from '#contracts';
import { TermFinder, type TermForm } from '#core/terms';
import { rightsFor } from '../bank/rights';
import { toEntry } from '../bank/saveEntry';
import type { Context } from '../context';
import { readEntries } from './readEntries';

/** So many entries are told, with all their places: as many as one change of many may change. */
const TOLD = 500;

/**
 * Where a term stands in the entries that a member sees: in some collections, or (none given) in all. Yields how far it is,
 * from 0 to 1.
 */
export async function* termInBank(
  { db }: Context,
  member: string,
  { forms, collections }: { forms: readonly TermForm[]; collections: readonly string[] },
): AsyncGenerator<number, TermFound> {
  const rights = await rightsFor(db, member);
  const wanted = collections.length === 0 ? [...rights.keys()] : collections.filter((id) => rights.has(id));
  const finder = new TermFinder(forms);
  const found: TermFound = { entries: [], count: 0, places: 0, read: 0 };
  for await (const rows of readEntries(db, wanted)) {
    found.read += rows.length;
    for (const row of rows) {
      const places = finder.inEntry(row.content);
      if (places.length === 0) continue;
      found.count += 1;
      found.places += places.length;
      if (found.entries.length < TOLD) found.entries.push({ entry: toEntry(row), places });
    }
    yield 1 - 500 / (500 + found.read);
  }
  return found;
}
