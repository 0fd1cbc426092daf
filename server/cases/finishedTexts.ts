import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import type { FinishedText } from '#contracts';
import { type Queries, cases, casesGiven, drafts } from '../db';

const AT_ONCE = 25;

/** The finished texts of a member in the cases that they were given, or in one of these; some at a time, behind one of them. */
export async function finishedTexts(
  db: Queries,
  member: string,
  { case: only, after }: { case: string | null; after: string | null },
): Promise<{ texts: FinishedText[]; more: boolean }> {
  const rows = await db
    .select({
      id: drafts.id,
      case: drafts.case,
      caseTitle: cases.title,
      title: drafts.title,
      excerpt: drafts.excerpt,
      savedAt: drafts.savedAt,
      document: drafts.document,
    })
    .from(drafts)
    .innerJoin(cases, eq(cases.id, drafts.case))
    .innerJoin(casesGiven, and(eq(casesGiven.case, drafts.case), eq(casesGiven.member, member)))
    .where(
      and(
        eq(drafts.author, member),
        eq(drafts.state, 'finished'),
        isNull(drafts.deletion),
        only === null ? undefined : eq(drafts.case, only),
        gt(drafts.id, after ?? ''),
      ),
    )
    .orderBy(asc(drafts.id))
    .limit(AT_ONCE + 1);
  return {
    texts: rows.slice(0, AT_ONCE).map((row) => ({ ...row, savedAt: row.savedAt.toISOString() })),
    more: rows.length > AT_ONCE,
  };
}
