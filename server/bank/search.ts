import { and, between, eq, inArray, isNull, sql, type SQL } from 'drizzle-orm';
import type { Found } from '#contracts';
import { findable, Finder, nearWords, plainWord, slackOf, wordsOf } from '#core/finder';
import type { Queries } from '../db/openStore';
import { collections, entries, entryWords, vocabulary } from '../db/schema';
import { collectionMark } from './entryWords';
import { rightsFor } from './rights';
import { toEntry } from './saveEntry';

/** So many are told; the nearest of so many that have the words, those with them in the head before others. */
const TOLD = 20;
const RANKED = 30;
const MOST_WORDS = 8;
/** To one who sees more than this many collections, what is found is sifted afterwards: their marks would be a long question. */
const MOST_MARKS = 150;

const quoted = (word: string) => `'${word.replace(/['\\]/g, (sign) => sign + sign)}'`;
const anyOf = (terms: readonly string[]) => `(${terms.join(' | ')})`;

/** Entries that have what a question of PostgreSQL's text search asks for, among collections that are seen, with their lead-ins. */
async function having(db: Queries, words: readonly string[], seen: readonly string[]) {
  const few = seen.length <= MOST_MARKS;
  const marks = few ? [anyOf(seen.map((id) => quoted(collectionMark(id))))] : [];
  const asked = [...words, ...marks].join(' & ');
  // As one value: thousands of them would take longer to send than to sift.
  const sifted: SQL | undefined = few
    ? undefined
    : sql`${entries.collection} in (select jsonb_array_elements_text(${JSON.stringify(seen)}::jsonb))`;
  const among = (column: typeof entryWords.head | typeof entryWords.words, tier: number) => sql`(
    select ${entryWords.entry} as entry, ${sql.raw(String(tier))} as tier
    from ${entryWords} join ${entries} on ${entries.id} = ${entryWords.entry}
    where ${and(sql`${column} @@ ${asked}::tsquery`, isNull(entries.deletion), sifted)}
    limit ${RANKED})`;
  // In one statement: each takes longer on its way to the embedded store and back than in there.
  const nearest = sql`(
    select entry from (${among(entryWords.head, 0)} union all ${among(entryWords.words, 1)}) as found
    group by entry order by min(tier) limit ${RANKED})`;
  return db
    .select({ entry: entries, leadIn: collections.leadIn })
    .from(entries)
    .innerJoin(collections, eq(collections.id, entries.collection))
    .where(sql`${entries.id} in ${nearest}`);
}

/** A slip in the first letter is a rare one: another was typed before it, or the two have changed places. */
const begun = (word: string) => [...new Set(word.slice(0, 2))];

/** What each word may have been meant for, itself among them, as parts of a question. */
async function meant(db: Queries, words: readonly string[]): Promise<string[]> {
  return Promise.all(
    words.map(async (word) => {
      const itself = `${quoted(word)}:*`;
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
      return anyOf([itself, ...near.map(quoted)]);
    }),
  );
}

/**
 * Entries that a member may see by any word of title, purpose, wording, tag or cue: all words wanted, each perhaps unfinished
 * and, where none has them so, misspelt. Best first, as the finder of a page ranks them; at most 20, with whether there are
 * more. Words without a letter or digit find nothing.
 */
export async function search(db: Queries, member: string, query: string): Promise<Found> {
  const words = [...new Set(wordsOf(query).map(plainWord))].slice(0, MOST_WORDS);
  const seen = words.length === 0 ? [] : [...(await rightsFor(db, member)).keys()];
  if (seen.length === 0) return { entries: [], more: false };
  let rows = await having(
    db,
    words.map((word) => `${quoted(word)}:*`),
    seen,
  );
  if (rows.length === 0) rows = await having(db, await meant(db, words), seen);
  const byId = new Map(rows.map(({ entry }) => [entry.id, entry]));
  const finder = new Finder(rows.map(({ entry, leadIn }) => findable(entry.id, entry.content, leadIn)));
  const ranked = finder.find(query).flatMap((id) => byId.get(id) ?? []);
  return { entries: ranked.slice(0, TOLD).map(toEntry), more: ranked.length > TOLD };
}
