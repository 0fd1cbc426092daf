import { and, asc, eq, isNull, ne, or } from 'drizzle-orm';
import { earlierUses } from '#core/draft';
import type { ResponseOf } from '#contracts';
import { type Database, cases, casesGiven, drafts } from '../db';
import { givenCase, ownDraft } from './caseAccess';

/**
 * What a member placed and answered in their other drafts of the same case, and of cases of the same number that they were given, the oldest
 * first. Throws where the draft is not theirs.
 */
export async function usesBefore(
  db: Database,
  member: string,
  of: string,
): Promise<ResponseOf<'earlierUses'>> {
  const draft = await ownDraft(db, member, of);
  const { id, number } = await givenCase(db, member, draft.case);
  const rows = await db
    .select({ document: drafts.document })
    .from(drafts)
    .innerJoin(cases, eq(cases.id, drafts.case))
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .where(
      and(
        eq(drafts.author, member),
        // Of other cases only the same number means the same person: two people may share a name.
        number === null ? eq(cases.id, id) : or(eq(cases.id, id), eq(cases.number, number)),
        ne(drafts.id, draft.id),
        isNull(drafts.deletion),
      ),
    )
    .orderBy(asc(drafts.savedAt));
  return rows.flatMap(({ document }) => earlierUses(document));
}
