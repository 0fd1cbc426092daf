import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { EarlierCast } from '#contracts';
import { TranscriptSchema, type Speaker } from '#core/transcript';
import { cases, casesGiven, drafts, type Queries } from '../../db';

/** So many drafts are looked at, and so many casts told, at the most. */
const MOST = { drafts: 100, told: 12 } as const;

const keyOf = (cast: readonly Speaker[]) =>
  cast
    .map(({ name }) => name.toLowerCase())
    .sort()
    .join('\n');

/** Who spoke in the recordings that a member wrote down and still has, the last saved first; the same people but once. */
export async function earlierCasts(db: Queries, member: string): Promise<EarlierCast[]> {
  const rows = await db
    .select({
      title: cases.title,
      savedAt: drafts.savedAt,
      // Alone: a transcript of hours is large.
      cast: sql<unknown>`${drafts.document} #> '{attrs,transcript,cast}'`,
    })
    .from(drafts)
    .innerJoin(cases, eq(cases.id, drafts.case))
    .innerJoin(casesGiven, and(eq(casesGiven.case, drafts.case), eq(casesGiven.member, member)))
    .where(
      and(
        eq(drafts.author, member),
        isNull(drafts.deletion),
        sql`jsonb_array_length(coalesce(${drafts.document} #> '{attrs,transcript,cast}', '[]')) > 0`,
      ),
    )
    .orderBy(desc(drafts.savedAt))
    .limit(MOST.drafts);
  const told = new Map<string, EarlierCast>();
  for (const { title, savedAt, cast } of rows) {
    const read = TranscriptSchema.shape.cast.parse(cast);
    if (!told.has(keyOf(read))) told.set(keyOf(read), { title, savedAt: savedAt.toISOString(), cast: read });
  }
  return [...told.values()].slice(0, MOST.told);
}
