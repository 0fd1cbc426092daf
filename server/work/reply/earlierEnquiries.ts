import { and, desc, eq, exists, inArray, isNull, ne, sql, type SQL } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { EarlierEnquiry } from '#contracts';
import { nearest } from '#core/finder';
import { lookUp, valueInWords } from '#core/record';
import { givenCase } from '../../cases';
import { batchRows, cases, casesGiven, enquiries, members, sendings, type Queries } from '../../db';

/** So many are told, the last first. */
const MOST_TOLD = 10;
const taker = alias(members, 'taker');

/** What a letter answers: its case, or the enquiry of the batch's row that it is the letter of. */
const answers = sql<string>`coalesce(${batchRows.enquiry}, ${sendings.case})`;

/** The last letter that went in answer to each of some enquiries. */
async function lettersOf(db: Queries, of: readonly string[]) {
  if (of.length === 0) return [];
  return db
    .selectDistinctOn([answers], {
      case: answers,
      excerpt: sendings.excerpt,
      byName: members.name,
      at: sendings.stateAt,
    })
    .from(sendings)
    .innerJoin(members, eq(members.id, sendings.member))
    .leftJoin(batchRows, eq(batchRows.id, sendings.row))
    .where(and(inArray(answers, [...of]), eq(sendings.state, 'gone')))
    .orderBy(answers, desc(sendings.stateAt));
}

/** What the sender of an enquiry asked before, by their address, and what was answered. Nothing where no address is known. */
export async function earlierEnquiries(db: Queries, member: string, of: string): Promise<EarlierEnquiry[]> {
  const { record } = await givenCase(db, member, of);
  const detail = lookUp(record, 'email', '2000-01-01');
  const address = detail ? valueInWords(detail.value, 'en-GB').trim().toLowerCase() : '';
  if (address === '') return [];
  return told(
    db,
    member,
    and(
      ne(enquiries.case, of),
      isNull(enquiries.joinedTo),
      eq(sql`lower(${enquiries.fromAddress})`, address),
    ),
  );
}

/** Enquiries as others are told of them: where each stands, and what was answered. The last first. */
async function told(db: Queries, member: string, which: SQL | undefined): Promise<EarlierEnquiry[]> {
  const rows = await db
    .select({
      case: enquiries.case,
      title: cases.title,
      since: enquiries.since,
      state: enquiries.state,
      takenByName: taker.name,
      isMine: sql<boolean>`${casesGiven.member} is not null`,
    })
    .from(enquiries)
    .innerJoin(cases, eq(cases.id, enquiries.case))
    .leftJoin(taker, eq(taker.id, enquiries.takenBy))
    .leftJoin(casesGiven, and(eq(casesGiven.case, enquiries.case), eq(casesGiven.member, member)))
    .where(which)
    .orderBy(desc(enquiries.since), desc(enquiries.case))
    .limit(MOST_TOLD);
  const letters = await lettersOf(
    db,
    rows.map((row) => row.case),
  );
  return rows.map((row) => {
    const letter = letters.find((one) => one.case === row.case);
    return {
      ...row,
      since: row.since.toISOString(),
      letter: letter ? { excerpt: letter.excerpt, byName: letter.byName, at: letter.at.toISOString() } : null,
    };
  });
}

/** So many answered enquiries are looked at, the last first, and so many of them are told. */
const MOST_LOOKED_AT = 300;
const MOST_LIKE = 3;

/** What others asked that is like an enquiry, by the words they share, and what was answered; the nearest first. Those of its own sender are told elsewhere. */
export async function likeEnquiries(db: Queries, member: string, of: string): Promise<EarlierEnquiry[]> {
  await givenCase(db, member, of);
  const [here] = await db.select().from(enquiries).where(eq(enquiries.case, of));
  if (!here || here.excerpt.trim() === '') return [];
  const others = await db
    .select({ id: enquiries.case, title: cases.title, wording: enquiries.excerpt })
    .from(enquiries)
    .innerJoin(cases, eq(cases.id, enquiries.case))
    .where(
      and(
        ne(enquiries.case, of),
        eq(enquiries.state, 'answered'),
        isNull(enquiries.joinedTo),
        ne(sql`lower(${enquiries.fromAddress})`, here.fromAddress.toLowerCase()),
        exists(
          db
            .select({ id: sendings.id })
            .from(sendings)
            .leftJoin(batchRows, eq(batchRows.id, sendings.row))
            .where(and(eq(answers, enquiries.case), eq(sendings.state, 'gone'))),
        ),
      ),
    )
    .orderBy(desc(enquiries.since))
    .limit(MOST_LOOKED_AT);
  const among = others.map((one) => ({ ...one, purpose: '', cues: [], tags: [] }));
  const ids = nearest(here.excerpt, among, MOST_LIKE).map(({ id }) => id);
  if (ids.length === 0) return [];
  const found = await told(db, member, inArray(enquiries.case, ids));
  return found.sort((a, b) => ids.indexOf(a.case) - ids.indexOf(b.case));
}
