import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import { and, desc, eq, isNotNull, lt } from 'drizzle-orm';
import type { Context } from '../context';
import { jobs, reachStamp, type Queries } from '../db';

/** A job as it is stored. */
export type JobRow = typeof jobs.$inferSelect;

/** A process that has not said for so long that it does a job does it no more: it was killed. */
const SILENT_MS = 15_000;
/** What came of a job can be looked at for so long. */
const KEPT_MS = 3_600_000;

/** Under which rights something is worked out: another stamp once anybody's have changed. */
export async function rightsStamp(db: Queries): Promise<string> {
  const [row] = await db.select().from(reachStamp);
  return row?.stamp ?? '';
}

/** A member's newest job of a work; undefined where there is none. */
export async function newestJob(db: Queries, member: string, work: string): Promise<JobRow | undefined> {
  const [row] = await db
    .select()
    .from(jobs)
    .where(and(eq(jobs.member, member), eq(jobs.work, work)))
    .orderBy(desc(jobs.begunAt), desc(jobs.id))
    .limit(1);
  return row;
}

/** A job by its id; undefined where there is none. */
export const jobById = async (db: Queries, id: string): Promise<JobRow | undefined> =>
  (await db.select().from(jobs).where(eq(jobs.id, id)))[0];

const isSilent = ({ beatAt }: JobRow, now: Date) => now.getTime() - beatAt.getTime() > SILENT_MS;

/**
 * The member's job of a work that was asked just so: the one under way, whichever process does it, or a new one that the caller
 * has to do (`isOurs`). One that was asked otherwise is stopped for it.
 */
export async function beginJob(
  { db, now }: Context,
  member: string,
  work: string,
  asked: unknown,
): Promise<{ id: string; isOurs: boolean }> {
  return db.transaction(async (tx) => {
    const [under] = await tx
      .select()
      .from(jobs)
      .where(and(eq(jobs.member, member), eq(jobs.work, work), eq(jobs.state, 'working')))
      .for('update');
    if (under && !isSilent(under, now()) && isDeepStrictEqual(under.asked, asked))
      return { id: under.id, isOurs: false };
    if (under) await tx.update(jobs).set({ state: 'stopped', endedAt: now() }).where(eq(jobs.id, under.id));
    const id = randomUUID();
    const row = { id, member, work, asked, state: 'working' as const };
    const made = await tx
      .insert(jobs)
      .values({ ...row, stamp: await rightsStamp(tx), begunAt: now(), beatAt: now() })
      .onConflictDoNothing()
      .returning({ id: jobs.id });
    if (made.length > 0) return { id, isOurs: true };
    // Another process began one at this very moment.
    const [theirs] = await tx
      .select({ id: jobs.id })
      .from(jobs)
      .where(and(eq(jobs.member, member), eq(jobs.work, work), eq(jobs.state, 'working')));
    return { id: theirs?.id ?? id, isOurs: false };
  });
}

/** Says that a job is still done, and how far it is; false once it was stopped. */
export async function beatJob({ db, now }: Context, id: string, progress: number): Promise<boolean> {
  const rows = await db
    .update(jobs)
    .set({ progress, beatAt: now() })
    .where(and(eq(jobs.id, id), eq(jobs.state, 'working')))
    .returning({ id: jobs.id });
  return rows.length > 0;
}

/** Ends a job that is under way: with what came of it, or as failed. One that was stopped stays so. */
export async function endJob(
  { db, now }: Context,
  id: string,
  end: { state: 'done'; result: unknown } | { state: 'failed' },
): Promise<void> {
  await db
    .update(jobs)
    .set({ ...end, progress: 1, endedAt: now() })
    .where(and(eq(jobs.id, id), eq(jobs.state, 'working')));
}

/** Stops what a member has under way of a work, whichever process does it. */
export async function stopJobs({ db, now }: Context, member: string, work: string): Promise<void> {
  await db
    .update(jobs)
    .set({ state: 'stopped', endedAt: now() })
    .where(and(eq(jobs.member, member), eq(jobs.work, work), eq(jobs.state, 'working')));
}

/** A page has what came of a job: it is not shown again by itself. */
export const markSeen = async (db: Queries, id: string): Promise<void> => {
  await db.update(jobs).set({ seen: true }).where(eq(jobs.id, id));
};

/**
 * What a member's newest job of a work is at, where there is something to come back to: it is under way, or it ended while no page
 * was there, not long ago, and nobody's rights have changed since it began. Null otherwise.
 */
export async function jobToComeBackTo(
  { db, now }: Context,
  member: string,
  work: string,
): Promise<JobRow | null> {
  const job = await newestJob(db, member, work);
  if (!job) return null;
  if (job.state === 'working') return isSilent(job, now()) ? null : job;
  if (job.state !== 'done' || job.seen || !job.endedAt) return null;
  const isOld = now().getTime() - job.endedAt.getTime() > KEPT_MS;
  return isOld || job.stamp !== (await rightsStamp(db)) ? null : job;
}

/** Lets go of what came of jobs that ended some time ago: it may hold words of people. */
export async function dropOldJobs({ db, now }: Context): Promise<void> {
  const before = new Date(now().getTime() - KEPT_MS);
  await db.delete(jobs).where(and(isNotNull(jobs.endedAt), lt(jobs.endedAt, before)));
}
