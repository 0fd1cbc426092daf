import { and, desc, eq, inArray, isNull, or, sql, type SQL } from 'drizzle-orm';
import type { FoundCase } from '#contracts';
import type { Context } from '../context';
import { cases, casesGiven, drafts } from '../db';
import { caseHead, firstDrafts, NO_DRAFTS, toCaseSummary } from './caseAccess';

/** More are not told: more words find fewer. */
const MOST_FOUND = 50;
/** More words than these are not looked for. */
const MOST_WORDS = 8;
/** So much is shown on each side of a word that was found. */
const AROUND = 60;

/** A pattern of SQL's LIKE for what has a word in it. */
const patternFor = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** What stands around one of some words in a text, as one line: the one that comes least often, which tells most. */
export function wordsAround(text: string, wanted: readonly string[]): string {
  const line = text.replace(/\s+/g, ' ').trim();
  const low = line.toLowerCase();
  const there = wanted
    .map((word) => word.toLowerCase())
    .filter((word) => low.includes(word))
    .map((word) => ({ at: low.indexOf(word), times: low.split(word).length - 1 }));
  const first = there.sort((a, b) => a.times - b.times || a.at - b.at)[0]?.at ?? 0;
  const [from, to] = [Math.max(0, first - AROUND), first + AROUND];
  return `${from > 0 ? '… ' : ''}${line.slice(from, to).trim()}${to < line.length ? ' …' : ''}`;
}

/**
 * The member's cases that have all of some words, each in title, number, summary or a detail, or on one of the member's own leaves. What
 * others write is not looked into. Case does not count.
 */
export async function findCases({ db }: Context, member: string, words: string): Promise<FoundCase[]> {
  const wanted = [...new Set(words.split(/\s+/).filter(Boolean))].slice(0, MOST_WORDS);
  const isOwn = and(eq(drafts.case, cases.id), eq(drafts.author, member), isNull(drafts.deletion));
  const onLeaf = (pattern: string): SQL =>
    sql`(${drafts.title} ilike ${pattern} or ${drafts.words} ilike ${pattern})`;
  const has = (pattern: string) =>
    or(
      sql`concat_ws(' ', ${cases.title}, ${cases.number}, ${cases.summary}) ilike ${pattern}`,
      sql`exists (select from jsonb_array_elements(${cases.record} -> 'details') detail
        where detail -> 'value' ->> 'text' ilike ${pattern})`,
      sql`exists (select from ${drafts} where ${isOwn} and ${onLeaf(pattern)})`,
    );
  const patterns = wanted.map(patternFor);
  const heads = await db
    .select(caseHead)
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .where(and(...patterns.map(has)))
    .orderBy(desc(cases.openedAt), cases.id)
    .limit(MOST_FOUND);
  if (heads.length === 0) return [];
  const leaves = await db
    .selectDistinctOn([drafts.case], { case: drafts.case, id: drafts.id, words: drafts.words })
    .from(drafts)
    .where(
      and(
        eq(drafts.author, member),
        isNull(drafts.deletion),
        inArray(
          drafts.case,
          heads.map(({ id }) => id),
        ),
        or(...patterns.map(onLeaf)),
      ),
    )
    // The leaf that has most of the words.
    .orderBy(
      drafts.case,
      desc(
        sql.join(
          patterns.map((pattern) => sql`${onLeaf(pattern)}::int`),
          sql` + `,
        ),
      ),
      desc(drafts.savedAt),
    );
  const leafOf = new Map(leaves.map((leaf) => [leaf.case, leaf]));
  const first = await firstDrafts(db, member);
  return heads.map((head) => {
    const leaf = leafOf.get(head.id);
    return {
      ...toCaseSummary(head, first.get(head.id) ?? NO_DRAFTS),
      leaf: leaf ? { id: leaf.id, around: wordsAround(leaf.words, wanted) } : null,
    };
  });
}
