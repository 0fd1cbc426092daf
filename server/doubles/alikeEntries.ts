import type { Alike } from '#contracts';
import { comparedWords, likeGroups, type Compared } from '#core/likeness';
import { rightsFor, toEntry, entriesById, readEntries, readSoFar } from '../bank';
import type { Context } from '../context';
import { particularsFor } from '../personal';
import { usesOf } from '../usage';

/** So many groups are told, and of each so many entries: nobody goes through more in one sitting. */
const GROUPS_TOLD = 100;
const TOLD_OF_EACH = 12;
/** How far it is once all entries are read. */
const READ = 0.6;

/**
 * Entries that a member sees and that say nearly the same: those in use, leaving out variations, which are meant to. Yields how
 * far it is, from 0 to 1.
 */
export async function* alikeEntries(
  context: Context,
  member: string,
  least: number,
): AsyncGenerator<number, Alike> {
  const { db } = context;
  const rights = await rightsFor(db, member);
  const particulars = await particularsFor(context, member);
  const texts: Compared<string>[] = [];
  let read = 0;
  for await (const rows of readEntries(db, [...rights.keys()])) {
    for (const { id, content, varies } of rows) {
      if (content.retired || varies !== null) continue;
      read += 1;
      for (const { parts } of content.wordings) {
        const words = comparedWords(
          parts.map(({ passage }) => passage),
          particulars,
        );
        if (words.length > 0) texts.push({ owner: id, words });
      }
    }
    yield READ * readSoFar(read);
  }
  const grouping = likeGroups(texts, least);
  let step = grouping.next();
  for (; !step.done; step = grouping.next()) yield READ + (1 - READ) * step.value;
  const groups = step.value;
  const told = groups.slice(0, GROUPS_TOLD);
  const ids = told.flatMap((group) => group.slice(0, TOLD_OF_EACH));
  const rows = await entriesById(db, ids);
  const seen = (await rightsFor(db, member)) as ReadonlyMap<string, unknown>;
  return {
    groups: told.flatMap((group) => {
      const shown = group.slice(0, TOLD_OF_EACH).flatMap((id) => {
        const row = rows.get(id);
        return row && seen.has(row.collection) ? [toEntry(row)] : [];
      });
      // What was deleted or withdrawn meanwhile is not told.
      return shown.length > 1 ? [{ entries: shown, count: group.length }] : [];
    }),
    count: groups.length,
    read,
    uses: await usesOf(db, ids),
  };
}
