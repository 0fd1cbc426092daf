import { and, asc, desc, eq, gt, inArray, isNull, ne, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Enquiry } from '#contracts';
import { lookUp, valueInWords, type CaseRecord } from '#core/record';
import type { Context } from '../../context';
import { cases, casesGiven, enquiries, enquiryNotes, members, messages, type Queries } from '../../db';

/** What was answered is listed so long. */
const ANSWERED_MS = 14 * 86_400_000;
/** So many enquiries are listed: those of the longest wait. */
const MOST_LISTED = 2000;

const taker = alias(members, 'taker');

/** What the queue tells of some enquiries, or of all that are to be listed. */
async function enquiriesWhere(db: Queries, member: string, where: ReturnType<typeof and>) {
  return db
    .select({
      case: enquiries.case,
      title: cases.title,
      fromName: enquiries.fromName,
      fromAddress: enquiries.fromAddress,
      excerpt: enquiries.excerpt,
      language: enquiries.language,
      since: enquiries.since,
      state: enquiries.state,
      takenBy: enquiries.takenBy,
      takenByName: taker.name,
      putOffTo: enquiries.putOffTo,
      isMine: sql<boolean>`${casesGiven.member} is not null`,
      messages: sql<number>`(select count(*)::int from ${messages} where ${messages.case} = ${enquiries.case})`,
    })
    .from(enquiries)
    .innerJoin(cases, eq(cases.id, enquiries.case))
    .leftJoin(taker, eq(taker.id, enquiries.takenBy))
    .leftJoin(casesGiven, and(eq(casesGiven.case, enquiries.case), eq(casesGiven.member, member)))
    .where(and(isNull(enquiries.joinedTo), where))
    .orderBy(asc(enquiries.since), asc(enquiries.case))
    .limit(MOST_LISTED);
}

async function notesOf(db: Queries, of: readonly string[]) {
  if (of.length === 0) return [];
  return db
    .select({
      id: enquiryNotes.id,
      case: enquiryNotes.case,
      by: enquiryNotes.by,
      byName: members.name,
      at: enquiryNotes.at,
      text: enquiryNotes.text,
    })
    .from(enquiryNotes)
    .innerJoin(members, eq(members.id, enquiryNotes.by))
    .where(inArray(enquiryNotes.case, [...of]))
    .orderBy(asc(enquiryNotes.at), asc(enquiryNotes.id));
}

type Row = Awaited<ReturnType<typeof enquiriesWhere>>[number];

async function told(db: Queries, rows: readonly Row[]): Promise<Enquiry[]> {
  const notes = await notesOf(
    db,
    rows.map((row) => row.case),
  );
  return rows.map((row) => ({
    ...row,
    since: row.since.toISOString(),
    notes: notes
      .filter((note) => note.case === row.case)
      .map(({ case: _, at, ...note }) => ({ ...note, at: at.toISOString() })),
  }));
}

const wordsOf = (record: CaseRecord, path: string) => {
  const detail = lookUp(record, path, '2000-01-01');
  return detail ? valueInWords(detail.value, 'en-GB') : '';
};

/** What the queue knows of an enquiry that was begun by hand, till somebody does something with it there. */
export const rowByHand = (
  one: typeof cases.$inferSelect,
  by: string,
  now: Date,
): typeof enquiries.$inferInsert => ({
  case: one.id,
  fromName: wordsOf(one.record, 'customer'),
  fromAddress: wordsOf(one.record, 'email'),
  excerpt: one.summary,
  language: wordsOf(one.record, 'language') || null,
  since: one.openedAt,
  state: 'open',
  takenBy: by,
  putOffTo: null,
  changedAt: now,
});

/** Enquiries of the member's own that were begun by hand and are in no queue yet: nobody else sees these. */
async function ownByHand({ db, now }: Context, member: string): Promise<Enquiry[]> {
  const rows = await db
    .select({ one: cases, name: members.name })
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .innerJoin(members, eq(members.id, casesGiven.member))
    .leftJoin(enquiries, eq(enquiries.case, cases.id))
    .where(and(eq(cases.kind, 'reply'), isNull(cases.closedAt), isNull(enquiries.case)))
    .orderBy(desc(cases.openedAt))
    .limit(MOST_LISTED);
  return rows.map(({ one, name }) => {
    const { changedAt: _, since, ...row } = rowByHand(one, member, now());
    return {
      ...row,
      ...{ title: one.title, since: since.toISOString(), takenBy: member, takenByName: name },
      ...{ language: row.language ?? null, putOffTo: null, isMine: true, messages: 0, notes: [] },
    };
  });
}

/** The queue as a member sees it: who waits longest first; what was answered of late last. */
export async function queueFor(context: Context, member: string): Promise<Enquiry[]> {
  const { db, now } = context;
  const late = new Date(now().getTime() - ANSWERED_MS);
  const rows = await enquiriesWhere(
    db,
    member,
    or(ne(enquiries.state, 'answered'), gt(enquiries.changedAt, late)),
  );
  const all = [...(await told(db, rows)), ...(await ownByHand(context, member))];
  const rank = ({ state }: Enquiry) => Number(state === 'answered');
  return all.sort((a, b) => rank(a) - rank(b) || (a.since < b.since ? -1 : a.since > b.since ? 1 : 0));
}

/** One enquiry as a member sees it. */
export async function enquiryFor(db: Queries, member: string, of: string): Promise<Enquiry | undefined> {
  const [one] = await told(db, await enquiriesWhere(db, member, eq(enquiries.case, of)));
  return one;
}
