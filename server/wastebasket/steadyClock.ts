import { desc } from 'drizzle-orm';
import type { Context } from '../context';
import { type Queries, serverClock, trail } from '../db';

const DAY_MS = 86_400_000;
/** A server that was not running for longer than this may have come back with its clock set wrong. */
const GAP_MS = 10 * DAY_MS;
/** From then on its clock has to go on for so long before anything is deleted for good by it. */
const STEADY_MS = 3 * DAY_MS;

/**
 * Whether the clock may be trusted with deleting things for good: not for three days after it went back, or jumped ahead by
 * more than ten days since it was last looked at. To be asked about once an hour; remembers in the store what it saw.
 */
export async function isClockSteady(context: Pick<Context, 'now'>, db: Queries): Promise<boolean> {
  const now = context.now();
  const [last] = await db.select().from(serverClock);
  // Not looked at before: the newest line of the trail tells when somebody last did something.
  const [newest] = last ? [] : await db.select({ at: trail.at }).from(trail).orderBy(desc(trail.id)).limit(1);
  const before = last?.seenAt ?? newest?.at ?? now;
  const ahead = now.getTime() - before.getTime();
  const jumpedAt = ahead > GAP_MS || ahead < -DAY_MS ? now : (last?.jumpedAt ?? null);
  const state = { seenAt: now, jumpedAt };
  await db.insert(serverClock).values(state).onConflictDoUpdate({ target: serverClock.only, set: state });
  return jumpedAt === null || now.getTime() - jumpedAt.getTime() >= STEADY_MS;
}
