import { eq } from 'drizzle-orm';
import { plainWord, wordsOf } from '#core/finder';
import { detailsOf } from '#core/record';
import type { Context } from '../context';
import { cases, casesGiven, members } from '../db/schema';

const NAMED = new Set(['name', 'customer', 'clinician']);

/** The plain words of names that are another in each case: of members, and of those in the cases that a member was given. */
export async function particularsFor({ db, now }: Context, member: string): Promise<ReadonlySet<string>> {
  const people = await db.select({ name: members.name }).from(members);
  const given = await db
    .select({ record: cases.record })
    .from(casesGiven)
    .innerJoin(cases, eq(cases.id, casesGiven.case))
    .where(eq(casesGiven.member, member));
  const today = now().toISOString().slice(0, 10);
  const names = given.flatMap(({ record }) =>
    detailsOf(record, today).flatMap(({ path, value }) =>
      NAMED.has(path) && value.kind === 'text' ? [value.text] : [],
    ),
  );
  return new Set(
    [...people.map(({ name }) => name), ...names].flatMap((name) => wordsOf(name).map(plainWord)),
  );
}
