import { and, desc, eq, isNull, ne } from 'drizzle-orm';
import type { SummingUp } from '#contracts';
import { withoutComments } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { plainText } from '#core/passage';
import { givenCase } from '../../cases';
import { assigned, assignments, casesGiven, drafts, type Queries } from '../../db';

/** So many are told at the most. */
const MOST_TOLD = 5;

/**
 * What the member wrote beneath the same person's work in other assignments, the newest first; nothing for a submission that belongs to
 * none. Throws where the case was not given to the member.
 */
export async function earlierSummingsUp(db: Queries, member: string, of: string): Promise<SummingUp[]> {
  await givenCase(db, member, of);
  const [here] = await db.select().from(assigned).where(eq(assigned.case, of));
  if (!here) return [];
  const rows = await db
    .select({ work: assignments.work, savedAt: drafts.savedAt, document: drafts.document })
    .from(assigned)
    .innerJoin(casesGiven, and(eq(casesGiven.case, assigned.case), eq(casesGiven.member, member)))
    .innerJoin(assignments, eq(assignments.id, assigned.assignment))
    .innerJoin(
      drafts,
      and(eq(drafts.case, assigned.case), eq(drafts.author, member), isNull(drafts.deletion)),
    )
    .where(and(eq(assigned.person, here.person), ne(assigned.assignment, here.assignment)))
    .orderBy(desc(assignments.madeAt), desc(drafts.savedAt));
  return rows
    .map(({ work, savedAt, document }) => ({
      assignment: work.title,
      savedAt: savedAt.toISOString(),
      text: plainText(withoutComments(finishedPassage(document))).trim(),
    }))
    .filter(({ text }) => text !== '')
    .slice(0, MOST_TOLD);
}
