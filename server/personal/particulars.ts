import { eq } from 'drizzle-orm';
import { plainWord, searchWords } from '#core/finder';
import type { KnownPeople } from '#core/privacy';
import { detailsOf } from '#core/record';
import type { Context } from '../context';
import { cases, casesGiven, members } from '../db';

const NAMED = new Set(['name', 'customer', 'clinician']);

/** Who is known by name to a member: the team, and those in the cases that they were given; and the numbers of these cases. */
export async function knownTo({ db, now }: Context, member: string): Promise<KnownPeople> {
  const people = await db.select({ name: members.name }).from(members);
  const given = await db
    .select({ record: cases.record, number: cases.number })
    .from(casesGiven)
    .innerJoin(cases, eq(cases.id, casesGiven.case))
    .where(eq(casesGiven.member, member));
  const today = now().toISOString().slice(0, 10);
  const names = given.flatMap(({ record }) =>
    detailsOf(record, today).flatMap(({ path, value }) =>
      NAMED.has(path) && value.kind === 'text' ? [value.text] : [],
    ),
  );
  return {
    names: [...new Set([...people.map(({ name }) => name), ...names])],
    numbers: given.flatMap(({ number }) => (number === null ? [] : [number])),
  };
}

/** The plain words of names that are another in each case. */
export async function particularsFor(context: Context, member: string): Promise<ReadonlySet<string>> {
  const { names } = await knownTo(context, member);
  return new Set(names.flatMap((name) => searchWords(name).map(plainWord)));
}
