import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import { type Queries, casesGiven, drafts } from '../db';

const AT_ONCE = 200;

/** The drafts of the cases that a member was given, some at a time. */
export async function* givenDrafts(db: Queries, member: string) {
  let after = '';
  for (;;) {
    const rows = await db
      .select({ id: drafts.id, case: drafts.case, author: drafts.author, document: drafts.document })
      .from(drafts)
      .innerJoin(casesGiven, and(eq(casesGiven.case, drafts.case), eq(casesGiven.member, member)))
      .where(and(gt(drafts.id, after), isNull(drafts.deletion)))
      .orderBy(asc(drafts.id))
      .limit(AT_ONCE);
    if (rows.length === 0) return;
    yield rows;
    after = rows.at(-1)!.id;
  }
}
