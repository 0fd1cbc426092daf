import { and, eq } from 'drizzle-orm';
import type { ClassCounts } from '#contracts';
import {
  entriesPlaced,
  mostPoints,
  personTally,
  slipsOf,
  writtenOften,
  type JudgedSubmission,
} from '#core/work';
import { assigned, casesGiven, type Queries } from '../../db';
import { draftsIn, givenAssignment, givenAssignments } from './assignments';

/** Assignments made so long before are told beside one: a term. */
const TERM_MS = 183 * 86_400_000;

/** The submissions of an assignment that the member has, each with what all tutors wrote on it; by whose it is. */
async function judgedIn(db: Queries, member: string, id: string): Promise<JudgedSubmission[]> {
  const rows = await db
    .select({ case: assigned.case, person: assigned.person })
    .from(assigned)
    .innerJoin(casesGiven, and(eq(casesGiven.case, assigned.case), eq(casesGiven.member, member)))
    .where(eq(assigned.assignment, id))
    .orderBy(assigned.person, assigned.case);
  const written = await draftsIn(db, id);
  return rows.map((row) => {
    const own = written.filter((draft) => draft.case === row.case);
    // One's own levels stand before those of colleagues.
    const inOrder = [...own].sort(
      (one, other) => Number(other.author === member) - Number(one.author === member),
    );
    return { ...row, documents: inOrder.map(({ document }) => document) };
  });
}

/** What the comments on the submissions of an assignment come to. Throws where it was not given to the member. */
export async function classCounts(db: Queries, member: string, id: string): Promise<ClassCounts> {
  const { work, madeAt } = await givenAssignment(db, member, id);
  const judged = await judgedIn(db, member, id);
  const earlier = (await givenAssignments(db, member)).filter((one) => {
    const age = madeAt.getTime() - one.madeAt.getTime();
    return one.id !== id && age >= 0 && age <= TERM_MS;
  });
  const term: ClassCounts['term'] = [];
  for (const one of earlier.reverse()) {
    const slips = slipsOf(await judgedIn(db, member, one.id));
    term.push({ assignment: one.id, title: one.work.title, madeAt: one.madeAt.toISOString(), slips });
  }
  return {
    people: judged.map((one) => personTally(one, work.criteria)),
    mostPoints: mostPoints(work.criteria),
    term: [
      ...term,
      { assignment: id, title: work.title, madeAt: madeAt.toISOString(), slips: slipsOf(judged) },
    ],
    entriesPlaced: entriesPlaced(judged),
    writtenOften: writtenOften(judged),
  };
}
