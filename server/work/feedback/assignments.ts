import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm';
import type { Assigned, Assignment, NewAssignment } from '#contracts';
import type { z } from 'zod';
import type { AssignedInSchema, AssignmentChangeSchema } from '#contracts';
import { commentsOf } from '#core/draft';
import { emptyRecord, type CaseRecord } from '#core/record';
import type { AssignmentWork } from '#core/work';
import { insertCase } from '../../cases';
import type { Context } from '../../context';
import {
  assigned,
  assignments,
  assignmentsGiven,
  cases,
  casesGiven,
  drafts,
  members,
  submissions,
  type Queries,
} from '../../db';
import { notFound, Refusal } from '../../http';

type Row = typeof assignments.$inferSelect;

/** The assignment, if it was given to the member; to others it does not exist. */
export async function givenAssignment(db: Queries, member: string, id: string): Promise<Row> {
  const [row] = await db
    .select({ own: assignments })
    .from(assignments)
    .innerJoin(
      assignmentsGiven,
      and(eq(assignmentsGiven.assignment, assignments.id), eq(assignmentsGiven.member, member)),
    )
    .where(eq(assignments.id, id));
  if (!row) throw notFound();
  return row.own;
}

const givenTo = async (db: Queries, id: string): Promise<string[]> =>
  (
    await db
      .select({ member: assignmentsGiven.member })
      .from(assignmentsGiven)
      .where(eq(assignmentsGiven.assignment, id))
      .orderBy(assignmentsGiven.member)
  ).map(({ member }) => member);

/** The drafts of an assignment's cases, of all who have them: a case that was taken back from somebody has theirs no more. */
export const draftsIn = (db: Queries, id: string) =>
  db
    .select({ case: drafts.case, author: drafts.author, state: drafts.state, document: drafts.document })
    .from(drafts)
    .innerJoin(assigned, and(eq(assigned.case, drafts.case), eq(assigned.assignment, id)))
    .innerJoin(casesGiven, and(eq(casesGiven.case, drafts.case), eq(casesGiven.member, drafts.author)))
    .where(isNull(drafts.deletion));

/** The submissions of an assignment that the member has, each with how far it is; by whose it is. */
async function assignedIn(db: Queries, member: string, id: string): Promise<Assigned[]> {
  const rows = await db
    .select({
      case: assigned.case,
      title: cases.title,
      person: assigned.person,
      words: submissions.words,
      takenAt: submissions.takenAt,
      openedAt: cases.openedAt,
    })
    .from(assigned)
    .innerJoin(cases, eq(cases.id, assigned.case))
    .innerJoin(casesGiven, and(eq(casesGiven.case, assigned.case), eq(casesGiven.member, member)))
    .leftJoin(submissions, eq(submissions.case, assigned.case))
    .where(eq(assigned.assignment, id))
    .orderBy(asc(assigned.person), asc(assigned.case));
  const written = await draftsIn(db, id);
  return rows.map(({ takenAt, openedAt, words, ...row }) => {
    const here = written.filter((draft) => draft.case === row.case);
    const own = here.filter(({ author }) => author === member);
    const isOpen = own.some(({ state }) => state === 'open');
    return {
      ...row,
      words: words ?? 0,
      handedIn: (takenAt ?? openedAt).toISOString(),
      state: own.length === 0 ? 'none' : isOpen ? 'open' : 'finished',
      comments: here.reduce((sum, { document }) => sum + commentsOf(document).length, 0),
    };
  });
}

async function toAssignment(db: Queries, member: string, row: Row): Promise<Assignment> {
  const { id, work, version, madeBy } = row;
  const [given, submitted] = [await givenTo(db, id), await assignedIn(db, member, id)];
  return { ...work, id, version, madeBy, given, submissions: submitted };
}

/** An assignment that was given to the member. Throws where it was not. */
export const assignment = async (db: Queries, member: string, id: string): Promise<Assignment> =>
  toAssignment(db, member, await givenAssignment(db, member, id));

/** The assignments given to a member, the newest first. */
export async function assignmentsOf(db: Queries, member: string): Promise<Assignment[]> {
  const found: Assignment[] = [];
  for (const row of await givenAssignments(db, member)) found.push(await toAssignment(db, member, row));
  return found;
}

/** What is asked in the assignments given to a member, the newest first. */
export async function givenAssignments(db: Queries, member: string): Promise<Row[]> {
  const rows = await db
    .select({ own: assignments })
    .from(assignments)
    .innerJoin(
      assignmentsGiven,
      and(eq(assignmentsGiven.assignment, assignments.id), eq(assignmentsGiven.member, member)),
    )
    .orderBy(desc(assignments.madeAt), desc(assignments.id));
  return rows.map(({ own }) => own);
}

async function mustBeOfTeam(db: Queries, given: readonly string[]): Promise<void> {
  const there = await db
    .select({ id: members.id })
    .from(members)
    .where(and(inArray(members.id, [...given]), isNull(members.leftAt)));
  if (there.length < given.length)
    throw new Refusal(
      'not-valid',
      'One of those it is given to is not in your team any more. Nothing was changed.',
    );
}

/** Gives an assignment to members, and all its submissions to those who did not have it. What is there already stays. */
async function giveTo(tx: Queries, id: string, given: readonly string[]): Promise<void> {
  await tx
    .insert(assignmentsGiven)
    .values(given.map((member) => ({ assignment: id, member })))
    .onConflictDoNothing();
  const rows = await tx.select({ case: assigned.case }).from(assigned).where(eq(assigned.assignment, id));
  const all = rows.flatMap((row) => given.map((member) => ({ case: row.case, member })));
  if (all.length > 0) await tx.insert(casesGiven).values(all).onConflictDoNothing();
}

/** Makes an assignment for the member and others. Sent again it is the one it was. */
export async function makeAssignment(
  context: Context,
  member: string,
  { id, given, ...work }: NewAssignment,
): Promise<Assignment> {
  const { db } = context;
  const all = [...new Set([member, ...given])];
  await db.transaction(async (tx) => {
    await mustBeOfTeam(tx, all);
    const fresh = await tx
      .insert(assignments)
      .values({ id, work, version: 1, madeBy: member, madeAt: context.now() })
      .onConflictDoNothing()
      .returning({ id: assignments.id });
    if (fresh.length > 0) await giveTo(tx, id, all);
  });
  return assignment(db, member, id);
}

/** Changes what is asked of a class. Throws a `moved-on` Refusal, with what stands there, where somebody else did meanwhile. */
export async function changeAssignment(
  context: Context,
  member: string,
  id: string,
  version: number,
  { given, ...work }: z.output<typeof AssignmentChangeSchema>,
): Promise<Assignment> {
  const { db } = context;
  const row = await givenAssignment(db, member, id);
  const before = await givenTo(db, id);
  await mustBeOfTeam(
    db,
    given.filter((one) => !before.includes(one)),
  );
  const changed = await db.transaction(async (tx) => {
    const [done] = await tx
      .update(assignments)
      .set({ work, version: version + 1 })
      .where(and(eq(assignments.id, row.id), eq(assignments.version, version)))
      .returning({ id: assignments.id });
    if (done && given.length > 0) await giveTo(tx, id, given);
    return done;
  });
  if (!changed)
    throw new Refusal(
      'moved-on',
      'Somebody changed this assignment meanwhile. What you wrote is still here.',
      {
        current: await assignment(db, member, id),
      },
    );
  return assignment(db, member, id);
}

/** What the record of somebody's submission says from the start: whose it is, and what it is about. */
function recordOf(person: string, { title }: AssignmentWork, today: string): CaseRecord {
  const detail = (path: 'name' | 'topic', text: string) => ({
    path,
    value: { kind: 'text' as const, text },
    source: `Assignment: ${title}`.slice(0, 300),
    asOf: today,
  });
  return { ...emptyRecord(), details: [detail('name', person), detail('topic', title)] };
}

/**
 * Makes a case of somebody's submission, for all the assignment is given to. Sent again it is the one it was; and where somebody has one
 * already that the member sees, none is made: two may take the same class in at once.
 */
export async function assign(
  context: Context,
  member: string,
  id: string,
  { case: of, person, title }: z.output<typeof AssignedInSchema>,
): Promise<Assignment> {
  const { db } = context;
  const { work } = await givenAssignment(db, member, id);
  const now = context.now();
  const given = await givenTo(db, id);
  const isNew = await db.transaction(async (tx) => {
    await tx.select({ id: assignments.id }).from(assignments).where(eq(assignments.id, id)).for('update');
    const [there] = await tx.select({ id: cases.id }).from(cases).where(eq(cases.id, of));
    if (there || (await assignedIn(tx, member, id)).some((one) => one.person === person)) return false;
    const number = work.people.find(({ name }) => name === person)?.number || null;
    const record = recordOf(person, work, now.toISOString().slice(0, 10));
    const head = { id: of, kind: 'feedback' as const, title, number, summary: work.title, openedAt: now };
    await insertCase(tx, { ...head, record }, given);
    await tx.insert(assigned).values({ case: of, assignment: id, person });
    return true;
  });
  if (isNew) for (const one of given) await context.events.tell(one, { type: 'case-added', case: of });
  return assignment(db, member, id);
}
