import { and, between, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { Found } from '#contracts';
import { findable, Finder, nearWords, plainWord, slackOf, searchWords } from '#core/finder';
import type { Right } from '#core/rights';
import { type Database, prepared, collections, entries, vocabulary } from '../db';
import { collectionMark } from './entryWords';
import { rightsFor } from './rights';
import { toEntry } from './saveEntry';
import { anyOf, quotedWord } from './textQuery';

/** So many are told; the nearest of so many that have the words, those with them in the head before others. */
const TOLD = 20;
const RANKED = 24;
const MOST_WORDS = 8;
/** Among no more than so many collections their marks are asked for; more of them would be a long question. */
const MOST_MARKS = 20;
/** So many are looked at first, whosever they are: it is quicker to sift them here than to say what may be seen. */
const LOOKED_AT = 200;

interface Having {
  found: { entry: string; collection: string }[];
  /** Whether there are no more of them. */
  whole: boolean;
}

/**
 * The entries that have what a question of PostgreSQL's text search asks for, not more than `most`: those with it in the head
 * first; only where these are fewer, those with it anywhere, which may be half the bank for a word just begun.
 */
async function having(db: Database, asked: string, most: number, sifted?: SQL): Promise<Having> {
  // Sifted from all that have it, by their index: the planner hopes to come upon enough of them by reading the whole bank through.
  const whatHas = (column: SQL) =>
    sifted
      ? sql`(select * from entry_words where ${column} @@ ${asked}::tsquery offset 0) as having_it where ${sifted}`
      : sql`entry_words where ${column} @@ ${asked}::tsquery`;
  // In one statement, and each list as one value: what costs is the way to the embedded store and back, and each row read.
  const { rows } = (await db.execute(sql`
    with in_head as materialized (
      select entry, collection from ${whatHas(sql`head`)} limit ${most}
    ), anywhere as materialized (
      select entry, collection from ${whatHas(sql`words`)}
        and (select count(*) from in_head) < ${most}
      limit ${most}
    )
    select
      (select coalesce(json_agg(json_build_array(entry, collection)), '[]') from in_head) as head,
      (select coalesce(json_agg(json_build_array(entry, collection)), '[]') from anywhere) as words`)) as {
    rows: Record<'head' | 'words', [string, string][]>[];
  };
  const { head, words } = rows[0]!;
  return {
    found: [...head, ...words].map(([entry, collection]) => ({ entry, collection })),
    whole: head.length < most && words.length < most,
  };
}

const inOrder = prepared((db) =>
  db
    .select({ entry: entries, leadIn: collections.leadIn })
    .from(entries)
    .innerJoin(
      sql`jsonb_array_elements_text(${sql.placeholder('ids')}::jsonb) with ordinality as near(id, place)`,
      sql`near.id = ${entries.id}`,
    )
    .innerJoin(collections, eq(collections.id, entries.collection))
    .where(isNull(entries.deletion))
    .orderBy(sql`near.place`)
    .limit(RANKED)
    .prepare('entries_in_order'),
);

/** Of those that one may see, some that have the words: as many as are ranked, where there are so many. */
async function nearest(db: Database, words: readonly string[], seen: ReadonlyMap<string, Right>) {
  const rowsOf = async (found: readonly { entry: string; collection: string }[]) => {
    const ids = new Set(found.filter(({ collection }) => seen.has(collection)).map(({ entry }) => entry));
    if (ids.size === 0) return [];
    return inOrder(db).execute({ ids: JSON.stringify([...ids]) });
  };
  if (seen.size <= MOST_MARKS) {
    const marks = anyOf([...seen.keys()].map((id) => quotedWord(collectionMark(id))));
    return rowsOf((await having(db, [...words, marks].join(' & '), LOOKED_AT)).found);
  }
  const { found, whole } = await having(db, words.join(' & '), LOOKED_AT);
  const rows = await rowsOf(found);
  if (whole || rows.length === RANKED) return rows;
  // As one value: thousands of them would take longer to send than to sift.
  const ids = JSON.stringify([...seen.keys()]);
  const sifted = sql`collection in (select jsonb_array_elements_text(${ids}::jsonb))`;
  return rowsOf((await having(db, words.join(' & '), LOOKED_AT, sifted)).found);
}

/** A slip in the first letter is a rare one: another was typed before it, or the two have changed places. */
const begun = (word: string) => [...new Set(word.slice(0, 2))];

/** What each word may have been meant for, itself among them, as parts of a question. */
async function meant(db: Database, words: readonly string[]): Promise<string[]> {
  return Promise.all(
    words.map(async (word) => {
      const itself = `${quotedWord(word)}:*`;
      const slack = slackOf(word);
      if (slack === 0) return itself;
      const [known] = await db
        .select({ words: sql<string | null>`string_agg(${vocabulary.word}, ' ')` })
        .from(vocabulary)
        .where(
          and(
            inArray(vocabulary.initial, begun(word)),
            between(vocabulary.length, word.length - slack, word.length + slack),
          ),
        );
      // All of them: were some left out, words that one may not see could keep out others.
      const near = nearWords(word, known?.words?.split(' ') ?? []);
      return anyOf([itself, ...near.map(quotedWord)]);
    }),
  );
}

/**
 * Entries that a member may see by any word of title, purpose, wording, tag or cue: all words wanted, each perhaps unfinished
 * and, where none has them so, misspelt. Best first, as the finder of a page ranks them; at most 20, with whether there are
 * more. Words without a letter or digit find nothing.
 */
export async function search(db: Database, member: string, query: string): Promise<Found> {
  const words = [...new Set(searchWords(query).map(plainWord))].slice(0, MOST_WORDS);
  const seen = await rightsFor(db, member);
  if (words.length === 0 || seen.size === 0) return { entries: [], more: false };
  let rows = await nearest(
    db,
    words.map((word) => `${quotedWord(word)}:*`),
    seen,
  );
  if (rows.length === 0) rows = await nearest(db, await meant(db, words), seen);
  const byId = new Map(rows.map(({ entry }) => [entry.id, entry]));
  const finder = new Finder(rows.map(({ entry, leadIn }) => findable(entry.id, entry.content, leadIn)));
  const ranked = finder.find(query).flatMap((id) => byId.get(id) ?? []);
  return { entries: ranked.slice(0, TOLD).map(toEntry), more: ranked.length > TOLD };
}
