import { eq, sql } from 'drizzle-orm';
import type { Act } from '#contracts';
import type { Context } from '../context';
import { type Queries, collections } from '../db';
import { notFound, Refusal } from '../http';
import { writeTrail } from '../trail';
import { rightOn } from './rights';

type Row = typeof collections.$inferSelect;

/** One change of the tree at a time: two moves could each be right alone and make a ring together. */
const TREE_LOCK = 7301;
/** Holds the tree of collections until the transaction ends. */
export const holdTree = (tx: Queries) => tx.execute(sql`select pg_advisory_xact_lock(${TREE_LOCK})`);

/** Throws unless the member may change the collection itself: who only uses it is told so, others that it is not there. */
export async function mustKeepIt(tx: Queries, member: string, collection: string): Promise<Row> {
  const right = await rightOn(tx, member, collection);
  const [row] = await tx.select().from(collections).where(eq(collections.id, collection));
  if (right === null || !row) throw notFound();
  if (right === 'keep') return row;
  throw new Refusal('not-allowed', 'Only its keepers change this collection. Nothing was changed.');
}

/** Refuses a change that was made to a version which does not stand there any more. */
export function mustBeAt(stands: number, version: number): void {
  if (stands !== version)
    throw new Refusal(
      'moved-on',
      'Someone changed this collection meanwhile. Look at it again, then change it.',
    );
}

/** Does what changes collections or their sharing, and tells those whose bank is another by it. */
export async function changingReach<T>(context: Context, work: () => Promise<T>): Promise<T> {
  const done = await work();
  await context.events.reachChanged();
  return done;
}

/** A change by a keeper of a collection, written into the trail and told to whom it concerns. */
export function changing(
  context: Context,
  act: Act,
  member: string,
  id: string,
  change: (tx: Queries, row: Row) => Promise<unknown>,
): Promise<void> {
  return changingReach(context, () =>
    context.db.transaction(async (tx) => {
      await holdTree(tx);
      const row = await mustKeepIt(tx, member, id);
      await change(tx, row);
      await writeTrail(tx, context.now(), { by: member, act, subject: row.name, collection: id });
    }),
  );
}
