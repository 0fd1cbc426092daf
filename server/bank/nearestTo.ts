import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Nearest } from '#contracts';
import { findable, nearest, stemOf, searchWords } from '#core/finder';
import { type Database, collections, entries } from '../db';
import { rightsFor } from './rights';
import { toEntry } from './saveEntry';
import { anyOf, quotedWord } from './textQuery';

const TOLD = 8;
/** Of a long message the first words are looked at, and of these the rarest looked for. */
const MOST_READ = 120;
const MOST_ASKED = 24;
const CANDIDATES = 300;
/** A word of so many entries says little; how many more there are need not be counted. */
const COUNTED = 3000;
/** A longer one is no word, and no text search of the store takes it. */
const LONGEST_WORD = 60;

/** Words of a text, by their stems, by how few of the entries in some collections have them; those that none has are left out. */
async function rarest(db: Database, words: readonly string[], seen: string): Promise<string[]> {
  const { rows } = (await db.execute(sql`
    with seen as materialized (select jsonb_array_elements_text(${seen}::jsonb) as id)
    select word, (
      select count(*)::int from (
        select from entry_words
        where words @@ (quote_literal(word) || ':*')::tsquery and collection in (select id from seen)
        limit ${COUNTED}
      ) as having_it
    ) as count
    from jsonb_array_elements_text(${JSON.stringify(words)}::jsonb) as word`)) as {
    rows: { word: string; count: number }[];
  };
  return rows
    .filter(({ count }) => count > 0)
    .sort((a, b) => a.count - b.count)
    .map(({ word }) => word);
}

/**
 * The entries nearest to a text (a problem, a sentence, a whole message) of those that a member sees, best first; none that
 * are out of use.
 */
export async function nearestTo(db: Database, member: string, text: string): Promise<Nearest> {
  const rights = await rightsFor(db, member);
  const words = [...new Set(searchWords(text).slice(0, MOST_READ).map(stemOf))].filter(
    ({ length }) => length > 2 && length <= LONGEST_WORD,
  );
  if (words.length === 0 || rights.size === 0) return { entries: [] };
  const seen = JSON.stringify([...rights.keys()]);
  const asked = (await rarest(db, words, seen)).slice(0, MOST_ASKED);
  if (asked.length === 0) return { entries: [] };
  const query = anyOf(asked.map((word) => `${quotedWord(word)}:*`));
  const { rows: having } = (await db.execute(sql`
    select entry from entry_words
    where words @@ ${query}::tsquery and collection in (select jsonb_array_elements_text(${seen}::jsonb))
    order by ts_rank(words, ${query}::tsquery) desc limit ${CANDIDATES}`)) as { rows: { entry: string }[] };
  const rows = await db
    .select({ entry: entries, leadIn: collections.leadIn })
    .from(entries)
    .innerJoin(collections, eq(collections.id, entries.collection))
    .where(
      and(
        inArray(
          entries.id,
          having.map(({ entry }) => entry),
        ),
        isNull(entries.deletion),
      ),
    );
  const byId = new Map(
    rows.filter(({ entry }) => !entry.content.retired).map((row) => [row.entry.id, row] as const),
  );
  const near = nearest(
    text,
    [...byId.values()].map(({ entry, leadIn }) => findable(entry.id, entry.content, leadIn)),
    TOLD,
  );
  return {
    entries: near.map(({ id, words: shared }) => ({ entry: toEntry(byId.get(id)!.entry), words: shared })),
  };
}
