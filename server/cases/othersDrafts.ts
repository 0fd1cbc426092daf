import { and, asc, desc, eq, isNull, ne } from 'drizzle-orm';
import type { DraftDocument } from '#core/draft';
import { casesGiven, drafts, members, type Queries } from '../db';
import { givenCase } from './caseAccess';

/** A draft of somebody else who has the same case. */
export interface OthersDraft {
  author: string;
  authorName: string;
  savedAt: string;
  /** Whether they have said that they are done. */
  finished: boolean;
  document: DraftDocument;
}

/**
 * The drafts that others whom a case is given to have of it, by their names: of each the one saved last that counts.
 * Throws where the case is not given to the member.
 */
export async function othersDrafts(
  db: Queries,
  member: string,
  of: string,
  counts: (document: DraftDocument) => boolean,
): Promise<OthersDraft[]> {
  await givenCase(db, member, of);
  const rows = await db
    .select({
      author: drafts.author,
      authorName: members.name,
      savedAt: drafts.savedAt,
      state: drafts.state,
      document: drafts.document,
    })
    .from(drafts)
    .innerJoin(members, eq(members.id, drafts.author))
    // What somebody wrote who has the case no more is theirs alone again.
    .innerJoin(casesGiven, and(eq(casesGiven.case, drafts.case), eq(casesGiven.member, drafts.author)))
    .where(and(eq(drafts.case, of), ne(drafts.author, member), isNull(drafts.deletion)))
    .orderBy(asc(members.name), asc(drafts.author), desc(drafts.savedAt));
  const latest = new Map<string, OthersDraft>();
  for (const { author, authorName, savedAt, state, document } of rows) {
    if (latest.has(author) || !counts(document)) continue;
    const finished = state === 'finished';
    latest.set(author, { author, authorName, savedAt: savedAt.toISOString(), finished, document });
  }
  return [...latest.values()];
}
