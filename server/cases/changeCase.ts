import { and, eq, isNull } from 'drizzle-orm';
import type { Case, CaseChange, Member } from '#contracts';
import type { Context } from '../context';
import { type Queries, cases, casesGiven, members } from '../db';
import { Refusal } from '../http';
import { givenCase, givenTo, readCase, tellOfCase } from './caseAccess';

async function give(tx: Queries, id: string, to: string): Promise<void> {
  const [there] = await tx
    .select({ id: members.id })
    .from(members)
    .where(and(eq(members.id, to), isNull(members.leftAt)));
  if (!there) throw new Refusal('not-valid', 'They are not in your team any more. Nothing was changed.');
  // Given already, it is done.
  await tx.insert(casesGiven).values({ case: id, member: to }).onConflictDoNothing();
}

/**
 * Takes a case back from a member. What they wrote in it stays theirs, and is theirs again should it be given to them anew.
 * Throws a Refusal where nobody would have it any more.
 */
async function takeBack(tx: Queries, id: string, from: string): Promise<void> {
  // Held, so that of two who take it back at once one is left with it.
  await tx.select({ id: cases.id }).from(cases).where(eq(cases.id, id)).for('update');
  const all = await givenTo(tx, id);
  if (!all.includes(from)) return;
  if (all.length === 1)
    throw new Refusal('not-valid', 'Somebody must have the case. Give it to a colleague first, or close it.');
  await tx.delete(casesGiven).where(and(eq(casesGiven.case, id), eq(casesGiven.member, from)));
}

/**
 * Changes what a case is called, gives it to another or takes it back, closes or reopens it, for all it is given to. Null once
 * the member themselves has it no more.
 */
export async function changeCase(
  context: Context,
  member: Member,
  id: string,
  change: CaseChange,
): Promise<Case | null> {
  const { db } = context;
  await givenCase(db, member.id, id);
  await db.transaction(async (tx) => {
    const set = (to: Partial<typeof cases.$inferInsert>) => tx.update(cases).set(to).where(eq(cases.id, id));
    switch (change.do) {
      case 'rename':
        return set({ title: change.title, number: change.number || null });
      case 'give':
        return give(tx, id, change.to);
      case 'take-back':
        return takeBack(tx, id, change.from);
      case 'close':
        return set({ closedAt: context.now() });
      case 'reopen':
        return set({ closedAt: null });
    }
  });
  await tellOfCase(context, id);
  // Their desks show it, or show it otherwise.
  const given = await givenTo(db, id);
  const without = change.do === 'take-back' && !given.includes(change.from) ? [change.from] : [];
  for (const one of [...given, ...without]) await context.events.tell(one, { type: 'case-added', case: id });
  return given.includes(member.id) ? readCase(db, member.id, id) : null;
}
