import { and, asc, eq, inArray, isNotNull, lt, lte, min, sql } from 'drizzle-orm';
import type { Context } from '../context';
import { batchRows, sendings } from '../db';
import type { Delivery } from '../post';
import { enquiryFollows, tellOfCase } from '../cases';

/** Whoever had it to hand over has ended long ago: the mail server is given up much sooner. */
const LOST_MS = 5 * 60_000;
const LOST_WORDS = 'The server stopped while the letter was going out.';

/** Tells the pages of a letter's writer that it is elsewhere on its way. */
export const tellOfSending = (context: Context, member: string) =>
  context.events.tell(member, { type: 'sendings-changed' });

/** Letters that a process had begun to hand over, and of which nothing was heard since: they have perhaps gone, and go no more by themselves. */
async function giveUpLost(context: Context): Promise<void> {
  const lostAt = new Date(context.now().getTime() - LOST_MS);
  const lost = await context.db
    .update(sendings)
    .set({ state: 'perhaps-gone', reason: LOST_WORDS, stateAt: context.now() })
    .where(and(eq(sendings.state, 'going'), lt(sendings.stateAt, lostAt)))
    .returning({ member: sendings.member, case: sendings.case, row: sendings.row });
  for (const member of new Set(lost.map((one) => one.member))) await tellOfSending(context, member);
  const inBatches = lost.filter(({ row }) => row !== null).map((one) => one.case);
  for (const of of new Set(inBatches)) if (of !== null) await tellOfCase(context, of);
}

/** So far behind their time letters of a batch may be without the others having to wait longer. */
const LATE_MS = 10_000;

/** Letters of a batch that are late, as after a night without a server, do not go all at once: all that wait for the batch move by as much. */
async function keepPace({ db, now }: Context): Promise<void> {
  const isWaiting = and(eq(sendings.state, 'waiting'), isNotNull(sendings.row));
  const behind = await db
    .select({ case: sendings.case, first: min(sendings.goesAt) })
    .from(sendings)
    .where(isWaiting)
    .groupBy(sendings.case)
    .having(lt(min(sendings.goesAt), new Date(now().getTime() - LATE_MS)));
  for (const { case: of, first } of behind) {
    if (of === null || first === null) continue;
    const seconds = (now().getTime() - first.getTime()) / 1000;
    await db
      .update(sendings)
      .set({ goesAt: sql`${sendings.goesAt} + make_interval(secs => ${seconds})` })
      .where(and(isWaiting, eq(sendings.case, of)));
  }
}

/** The enquiry that the letter of a batch's row answers; null for none. */
async function enquiryOfRow({ db }: Context, row: string): Promise<string | null> {
  const [found] = await db
    .select({ enquiry: batchRows.enquiry })
    .from(batchRows)
    .where(eq(batchRows.id, row));
  return found?.enquiry ?? null;
}

/** Takes the letter whose time came first out of those that wait; of two processes one alone gets it. Null for none. */
async function takeDue({ db, now }: Context) {
  const due = db
    .select({ id: sendings.id })
    .from(sendings)
    .where(and(eq(sendings.state, 'waiting'), lte(sendings.goesAt, now())))
    .orderBy(asc(sendings.goesAt), asc(sendings.id))
    .limit(1)
    .for('update', { skipLocked: true });
  const [taken] = await db
    .update(sendings)
    .set({ state: 'going', stateAt: now() })
    // By `=`, which is asked once: within `in` a planner may ask again for every row, and each time another is the first.
    .where(and(eq(sendings.id, sql`(${due})`), eq(sendings.state, 'waiting')))
    .returning();
  return taken ?? null;
}

/**
 * Hands over the letters whose time has come, one after the other. Each is marked as going before the mail server hears of it, and never
 * taken again by itself: where a process ends in between, it has perhaps gone, and a person decides.
 */
export async function deliverDue(context: Context): Promise<void> {
  await giveUpLost(context);
  await keepPace(context);
  const inBatches = new Set<string>();
  for (let letter = await takeDue(context); letter; letter = await takeDue(context)) {
    await tellOfSending(context, letter.member);
    const { id, from, message } = letter;
    const to = [...letter.to, ...letter.cc].map(({ address }) => address);
    const delivery = await context.courier.deliver({ from, to, message }).catch((): Delivery => ({
      state: 'perhaps-gone',
      reason: 'The connection ended while the letter was going out.',
    }));
    await context.db
      .update(sendings)
      .set({ ...delivery, stateAt: context.now() })
      // Given up by another process meanwhile, it is known now after all.
      .where(and(eq(sendings.id, id), inArray(sendings.state, ['going', 'perhaps-gone'])));
    const answered = letter.row === null ? letter.case : await enquiryOfRow(context, letter.row);
    await enquiryFollows(context.db, answered, delivery.state, context.now());
    await tellOfSending(context, letter.member);
    if (answered !== null) await context.events.tellAll({ type: 'queue-changed' });
    if (letter.row !== null && letter.case !== null) inBatches.add(letter.case);
  }
  // Once for all of a batch that went: its page asks for the whole table.
  for (const of of inBatches) await tellOfCase(context, of);
}
