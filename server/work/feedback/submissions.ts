import { eq } from 'drizzle-orm';
import type { CaseSubmission, HandedIn, OthersComments } from '#contracts';
import { commentsOf } from '#core/draft';
import { wordsInSubmission } from '#core/submission';
import { filesOfCase, givenCase, othersDrafts, tellOfCase } from '../../cases';
import type { Context } from '../../context';
import { assigned, submissions, type Queries } from '../../db';
import { Refusal } from '../../http';

/** What was handed in with a case; null where nothing was. Throws where the case was not given to the member. */
export async function submissionOf(db: Queries, member: string, of: string): Promise<CaseSubmission | null> {
  await givenCase(db, member, of);
  const [row] = await db
    .select({ own: submissions, assignment: assigned.assignment })
    .from(submissions)
    .leftJoin(assigned, eq(assigned.case, submissions.case))
    .where(eq(submissions.case, of));
  if (!row) return null;
  const { submission, name, file, version, takenAt } = row.own;
  return { submission, name, file, version, takenAt: takenAt.toISOString(), assignment: row.assignment };
}

/**
 * Keeps what was handed in with a case, in place of what was there; what members wrote about it stays. Throws a Refusal where it names
 * a file that the case does not have.
 */
export async function handIn(
  context: Context,
  member: string,
  of: string,
  { submission, name, file }: HandedIn,
): Promise<CaseSubmission> {
  const { db } = context;
  await givenCase(db, member, of);
  if (file !== null && (await filesOfCase(db, of, file)).length === 0)
    throw new Refusal('not-valid', 'The case has no such file. Nothing was handed in; send the file first.');
  const row = { submission, name, file, words: wordsInSubmission(submission), takenAt: context.now() };
  await db.transaction(async (tx) => {
    const [before] = await tx
      .select({ version: submissions.version })
      .from(submissions)
      .where(eq(submissions.case, of))
      .for('update');
    const version = (before?.version ?? 0) + 1;
    await tx
      .insert(submissions)
      .values({ case: of, version, ...row })
      .onConflictDoUpdate({ target: submissions.case, set: { version, ...row } });
  });
  await tellOfCase(context, of);
  return (await submissionOf(db, member, of))!;
}

/** The comments that others have on a case, of each member the leaf saved last that has any. */
export async function othersComments(db: Queries, member: string, of: string): Promise<OthersComments[]> {
  const theirs = await othersDrafts(db, member, of, (document) => commentsOf(document).length > 0);
  return theirs.map(({ document, ...draft }) => ({ ...draft, comments: commentsOf(document) }));
}
