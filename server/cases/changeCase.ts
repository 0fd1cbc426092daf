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
  if (!there) throw new Refusal('not-valid', 'They are not of your team any more. Nothing was changed.');
  // Given already, it is done.
  await tx.insert(casesGiven).values({ case: id, member: to }).onConflictDoNothing();
}

/** Changes what a case is called, gives it to another, closes or reopens it, for all it is given to. */
export async function changeCase(
  context: Context,
  member: Member,
  id: string,
  change: CaseChange,
): Promise<Case> {
  const { db } = context;
  await givenCase(db, member.id, id);
  await db.transaction(async (tx) => {
    const set = (to: Partial<typeof cases.$inferInsert>) => tx.update(cases).set(to).where(eq(cases.id, id));
    switch (change.do) {
      case 'rename':
        return set({ title: change.title, number: change.number || null });
      case 'give':
        return give(tx, id, change.to);
      case 'close':
        return set({ closedAt: context.now() });
      case 'reopen':
        return set({ closedAt: null });
    }
  });
  await tellOfCase(context, id);
  // Their desks show it, or show it otherwise.
  for (const one of await givenTo(db, id)) await context.events.tell(one, { type: 'case-added', case: id });
  return readCase(db, member.id, id);
}
