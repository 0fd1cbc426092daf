import { and, eq, isNull, notExists, sql } from 'drizzle-orm';
import type { EntryContent } from '#core/entry';
import { findable, wordsToFind } from '#core/finder';
import { type Database, type Queries, entries, entryWords, isAmong } from '../db';

/** Nobody types more of a word, and none but these tell texts of any length apart. */
const LONGEST_WORD = 60;
const MOST_WORDS = 20_000;
/** The store takes a megabyte of them, each with a little beside it. */
const MOST_BYTES = 600_000;
/** Shorter ones are never taken for misspelt. */
const SHORTEST_MISSPELT = 4;
/** Words of so many entries are written in one statement; those of more in one after another, each with others' turn between. */
export const INDEXED_AT_ONCE = 100;

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
      isAmong(
        entryWords.entry,
        moved.map(({ id }) => id),
      ),
    );
}

/** Takes away by which words entries are found, until `writeMissingWords` writes them down anew. */
export const dropWords = (tx: Queries, ids: readonly string[]) =>
  tx.delete(entryWords).where(isAmong(entryWords.entry, ids));

/** Writes down the words of some of those entries that have none; gives how many they were. They are held meanwhile: nobody saves other words of them. */
const writeSomeMissing = (db: Database, among: readonly string[] | null): Promise<number> =>
  db.transaction(async (tx) => {
    const rows = await tx
      .select({ id: entries.id, collection: entries.collection, content: entries.content })
      .from(entries)
      .where(
        and(
          among === null ? undefined : isAmong(entries.id, among),
          isNull(entries.deletion),
          notExists(tx.select().from(entryWords).where(eq(entryWords.entry, entries.id))),
        ),
      )
      .orderBy(entries.id)
      .limit(INDEXED_AT_ONCE)
      .for('update');
    await writeWords(tx, rows);
    return rows.length;
  });

/**
 * Writes down the words of entries that have none yet: of some, after an act that left that for when all of it is seen, or of all, kept
 * by an Elderleaf that did not know how or left so by a kill. In pieces, so that nobody waits for all of them.
 */
export async function writeMissingWords(db: Database, among?: readonly string[]): Promise<void> {
  if (among === undefined) {
    while ((await writeSomeMissing(db, null)) > 0);
    return;
  }
  for (let at = 0; at < among.length; at += INDEXED_AT_ONCE)
    await writeSomeMissing(db, among.slice(at, at + INDEXED_AT_ONCE));
}

/** After an act on some entries has ended: writes the words that it left, if it was one on many (`indexAll`). */
export async function writeWordsLeft(db: Database, of: readonly string[]): Promise<void> {
  if (of.length > INDEXED_AT_ONCE) await writeMissingWords(db, of);
}
