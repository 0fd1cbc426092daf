import { and, inArray, isNull, sql } from 'drizzle-orm';
import type { EntryContent } from '#core/entry';
import { findable, wordsToFind } from '#core/finder';
import { type Database, type Queries, entries, entryWords } from '../db';

/** Nobody types more of a word, and none but these tell texts of any length apart. */
const LONGEST_WORD = 60;
const MOST_WORDS = 20_000;
/** The store takes a megabyte of them, each with a little beside it. */
const MOST_BYTES = 600_000;
/** Shorter ones are never taken for misspelt. */
const SHORTEST_MISSPELT = 4;
const INDEXED_AT_ONCE = 200;

/** What stands among the words of an entry for the collection it is in: no word begins so. */
export const collectionMark = (collection: string): string => `@${collection}`;

/** The first of some words, as many as the store takes. */
function fitting(words: readonly string[]): string[] {
  let bytes = 0;
  return words.slice(0, MOST_WORDS).filter((word) => (bytes += Buffer.byteLength(word)) <= MOST_BYTES);
}

interface Indexed {
  id: string;
  collection: string;
  content: EntryContent;
}

/** Writes down by which words entries are found, in place of those they were found by. */
export async function writeWords(tx: Queries, all: readonly Indexed[]): Promise<void> {
  const rows = all.map(({ id, collection, content }) => {
    const { head, all: words } = wordsToFind(findable(id, content, ''));
    const kept = (some: string[]) => [
      collectionMark(collection),
      ...fitting(some.filter(({ length }) => length <= LONGEST_WORD)),
    ];
    return { entry: id, collection, head: kept(head), words: kept(words) };
  });
  if (rows.length === 0) return;
  const misspelt = [...new Set(rows.flatMap(({ words }) => words))].filter(
    (word) => word.length >= SHORTEST_MISSPELT && !word.startsWith('@') && !/\d/.test(word),
  );
  const list = (name: string) => sql.raw(`array(select jsonb_array_elements_text(one->'${name}'))`);
  await tx.execute(sql`
    with indexed as (
      insert into entry_words (entry, collection, head, words)
      select one->>'entry', one->>'collection', array_to_tsvector(${list('head')}), array_to_tsvector(${list('words')})
      from jsonb_array_elements(${JSON.stringify(rows)}::jsonb) as one
      on conflict (entry) do update
        set collection = excluded.collection, head = excluded.head, words = excluded.words
    )
    -- In one order, so that two who bring the same new words do not wait for each other.
    insert into vocabulary (word, initial, length)
    select come, left(come, 1), length(come) from jsonb_array_elements_text(${JSON.stringify(misspelt)}::jsonb) as come
    where not exists (select from vocabulary where word = come)
    order by come
    on conflict do nothing`);
}

/** Entries have moved into a collection, and are found there now. */
export async function moveWords(
  tx: Queries,
  moved: readonly { id: string; collection: string }[],
  to: string,
): Promise<void> {
  const marks = JSON.stringify([...new Set(moved.map(({ collection }) => collectionMark(collection)))]);
  const from = sql`array(select jsonb_array_elements_text(${marks}::jsonb))`;
  const mark = sql`array_to_tsvector(array[${collectionMark(to)}])`;
  await tx
    .update(entryWords)
    .set({
      collection: to,
      head: sql`ts_delete(${entryWords.head}, ${from}) || ${mark}`,
      words: sql`ts_delete(${entryWords.words}, ${from}) || ${mark}`,
    })
    .where(
      inArray(
        entryWords.entry,
        moved.map(({ id }) => id),
      ),
    );
}

/** Writes down the words of entries that have none yet, kept by an Elderleaf that did not know how. */
export async function writeMissingWords(db: Database): Promise<void> {
  for (;;) {
    const rows = await db
      .select({ id: entries.id, collection: entries.collection, content: entries.content })
      .from(entries)
      .leftJoin(entryWords, sql`${entryWords.entry} = ${entries.id}`)
      .where(and(isNull(entryWords.entry), isNull(entries.deletion)))
      .limit(INDEXED_AT_ONCE);
    if (rows.length === 0) return;
    await writeWords(db, rows);
  }
}
