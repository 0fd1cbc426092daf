import type { TermFound } from '#contracts';
import { TermFinder, type TermForm } from '#core/terms';
import { rightsFor, findInEntries } from '../bank';
import type { Context } from '../context';

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
  const { entries, things, ...found } = yield* findInEntries(db, wanted, TOLD, ({ content }) =>
    finder.inEntry(content),
  );
  return {
    ...found,
    places: things,
    entries: entries.map(({ entry, things: places }) => ({ entry, places })),
  };
}
