import { and, eq, isNull } from 'drizzle-orm';
import type { Enquiry, EnquiryChange, Member } from '#contracts';
import { tellOfCase } from '../../cases';
import type { Context } from '../../context';
import {
  caseFiles,
  cases,
  casesGiven,
  enquiries,
  enquiryNotes,
  members,
  messages,
  type Queries,
} from '../../db';
import { notFound, Refusal } from '../../http';
import { enquiryFor, rowByHand } from './queue';

type Row = typeof enquiries.$inferSelect;

/** The enquiry, held for this transaction; one of the member's own that was begun by hand comes into the queue. */
async function held(context: Context, tx: Queries, member: string, of: string): Promise<Row> {
  const find = async () => {
    const [row] = await tx.select().from(enquiries).where(eq(enquiries.case, of)).for('update');
    return row;
  };
  const there = await find();
  if (there && there.joinedTo === null) return there;
  if (there) throw new Refusal('moved-on', 'It was joined to another enquiry meanwhile. Look there.');
  const [own] = await tx
    .select({ one: cases })
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .where(and(eq(cases.id, of), eq(cases.kind, 'reply')));
  if (!own) throw notFound();
  await tx
    .insert(enquiries)
    .values(rowByHand(own.one, member, context.now()))
    .onConflictDoNothing();
  return (await find())!;
}

async function nameOf(tx: Queries, id: string): Promise<string> {
  const [row] = await tx
    .select({ name: members.name })
    .from(members)
    .where(and(eq(members.id, id), isNull(members.leftAt)));
  if (!row) throw new Refusal('not-valid', 'They are not in your team any more. Nothing was changed.');
  return row.name;
}

/** Nobody answers what another is answering. */
async function mustNotBeOthers(tx: Queries, { takenBy }: Row, member: string): Promise<void> {
  if (takenBy !== null && takenBy !== member)
    throw new Refusal('moved-on', `${await nameOf(tx, takenBy)} answers it already.`);
}

async function give(tx: Queries, of: string, to: string, from: string | null): Promise<void> {
  await tx.insert(casesGiven).values({ case: of, member: to }).onConflictDoNothing();
  if (from !== null && from !== to)
    await tx.delete(casesGiven).where(and(eq(casesGiven.case, of), eq(casesGiven.member, from)));
}

/** Makes an enquiry a part of another of the same sender: its messages and files are there, and it is closed. */
async function join(context: Context, tx: Queries, member: string, from: Row, to: string): Promise<void> {
  if (to === from.case) throw new Refusal('not-valid', 'It cannot be joined to itself.');
  const into = await held(context, tx, member, to);
  if (from.fromAddress === '' || into.fromAddress.toLowerCase() !== from.fromAddress.toLowerCase())
    throw new Refusal('not-valid', 'Only enquiries of the same sender are joined. Nothing was changed.');
  await mustNotBeOthers(tx, from, member);
  await mustNotBeOthers(tx, into, member);
  await tx.update(messages).set({ case: to }).where(eq(messages.case, from.case));
  await tx.update(enquiryNotes).set({ case: to }).where(eq(enquiryNotes.case, from.case));
  const files = await tx
    .select()
    .from(caseFiles)
    .where(and(eq(caseFiles.case, from.case), isNull(caseFiles.deletion)));
  if (files.length > 0)
    await tx.insert(caseFiles).values(files.map((file) => ({ ...file, id: context.newId(), case: to })));
  const isNewer = from.since > into.since;
  const newest = isNewer ? { excerpt: from.excerpt, fromName: from.fromName, language: from.language } : {};
  const waits = from.state === 'open' && (into.state !== 'open' || !isNewer) ? { since: from.since } : {};
  const state = from.state === 'open' ? ('open' as const) : into.state;
  await tx
    .update(enquiries)
    .set({ ...newest, ...waits, state, putOffTo: null, changedAt: context.now() })
    .where(eq(enquiries.case, to));
  await tx
    .update(enquiries)
    .set({ joinedTo: to, state: 'answered', changedAt: context.now() })
    .where(eq(enquiries.case, from.case));
  await tx.update(cases).set({ closedAt: context.now() }).where(eq(cases.id, from.case));
}

const noteRow = (context: Context, of: string, by: string, text: string) => ({
  ...{ id: context.newId(), case: of, by, at: context.now(), text },
});

async function apply(
  context: Context,
  tx: Queries,
  member: string,
  row: Row,
  change: EnquiryChange,
): Promise<string> {
  const of = row.case;
  const set = (to: Partial<Row>) =>
    tx
      .update(enquiries)
      .set({ ...to, changedAt: context.now() })
      .where(eq(enquiries.case, of));
  switch (change.do) {
    case 'take':
      await mustNotBeOthers(tx, row, member);
      await give(tx, of, member, null);
      await set({ takenBy: member, putOffTo: null });
      return of;
    case 'put-back':
      await mustNotBeOthers(tx, row, member);
      await tx.delete(casesGiven).where(and(eq(casesGiven.case, of), eq(casesGiven.member, member)));
      await set({ takenBy: null });
      return of;
    case 'hand-on':
      await mustNotBeOthers(tx, row, member);
      await nameOf(tx, change.to);
      await give(tx, of, change.to, member);
      await set({ takenBy: change.to, putOffTo: null });
      if (change.word !== '') await tx.insert(enquiryNotes).values(noteRow(context, of, member, change.word));
      return of;
    case 'put-off':
      await mustNotBeOthers(tx, row, member);
      await set({ putOffTo: change.to });
      return of;
    case 'set':
      await mustNotBeOthers(tx, row, member);
      await set({ state: change.state, putOffTo: null });
      return of;
    case 'note':
      await tx.insert(enquiryNotes).values(noteRow(context, of, member, change.text));
      return of;
    case 'join':
      await join(context, tx, member, row, change.to);
      return change.to;
  }
}

/** Does with an enquiry what a member asks. Throws a Refusal where another answers it, or it is not in the queue. Returns it, or the one it was joined to. */
export async function changeEnquiry(
  context: Context,
  member: Member,
  of: string,
  change: EnquiryChange,
): Promise<Enquiry> {
  const { db, events } = context;
  const now = await db.transaction(async (tx) =>
    apply(context, tx, member.id, await held(context, tx, member.id, of), change),
  );
  await events.tellAll({ type: 'queue-changed' });
  await tellOfCase(context, now);
  // Desks have it now, or have it no more.
  const others = change.do === 'hand-on' ? [change.to] : [];
  for (const one of [member.id, ...others]) await events.tell(one, { type: 'case-added', case: now });
  const enquiry = await enquiryFor(db, member.id, now);
  if (!enquiry) throw notFound();
  return enquiry;
}
