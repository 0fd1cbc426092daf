import { and, desc, eq, inArray, isNull, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { EarlierEnquiry } from '#contracts';
import { lookUp, valueInWords } from '#core/record';
import { givenCase } from '../../cases';
import { cases, casesGiven, enquiries, members, sendings, type Queries } from '../../db';

/** So many are told, the last first. */
const MOST_TOLD = 10;
const taker = alias(members, 'taker');

/** The last letter that went from each of some cases. */
async function lettersOf(db: Queries, of: readonly string[]) {
  if (of.length === 0) return [];
  return db
    .selectDistinctOn([sendings.case], {
      case: sendings.case,
      excerpt: sendings.excerpt,
      byName: members.name,
      at: sendings.stateAt,
    })
    .from(sendings)
    .innerJoin(members, eq(members.id, sendings.member))
    .where(and(inArray(sendings.case, [...of]), eq(sendings.state, 'gone')))
    .orderBy(sendings.case, desc(sendings.stateAt));
}

/** What the sender of an enquiry asked before, by their address, and what was answered. Nothing where no address is known. */
export async function earlierEnquiries(db: Queries, member: string, of: string): Promise<EarlierEnquiry[]> {
  const { record } = await givenCase(db, member, of);
  const detail = lookUp(record, 'email', '2000-01-01');
  const address = detail ? valueInWords(detail.value, 'en-GB').trim().toLowerCase() : '';
  if (address === '') return [];
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
    .where(
      and(
        ne(enquiries.case, of),
        isNull(enquiries.joinedTo),
        eq(sql`lower(${enquiries.fromAddress})`, address),
      ),
    )
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
