import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Compared, Member } from '#contracts';
import { treeBranches, type Right } from '#core/rights';
import { rightsFor } from '../bank';
import { caseFiles, cases, casesGiven, collections, drafts, entries, members, type Queries } from '../db';
import type { Past } from './openPast';

/** So many titles are told of each. */
const TOLD = 100;
const told = (titles: readonly string[]) => ({
  count: titles.length,
  titles: titles.toSorted((one, other) => one.localeCompare(other)).slice(0, TOLD),
});

/** An entry as it is told from others: where it is, what it is called, and by what its content is known. */
interface Brief {
  id: string;
  collection: string;
  title: string;
  print: string;
}

const briefOf = (db: Queries): Promise<Brief[]> =>
  db
    .select({
      id: entries.id,
      collection: entries.collection,
      title: sql<string>`${entries.content} ->> 'title'`,
      print: sql<string>`md5(${entries.content}::text)`,
    })
    .from(entries)
    .where(isNull(entries.deletion));

/** A collection of a backup that a member may bring back to what it was, and what has become of it. */
export interface Comparable {
  id: string;
  name: string;
  parent: string | null;
  state: 'here' | 'deleted' | 'gone';
}

/**
 * The collections of a backup that a member may bring back, each behind what it is in: those that they keep today, and of those that are
 * there no more the ones that they kept.
 */
export async function comparable(now: Queries, past: Queries, member: string): Promise<Comparable[]> {
  const kept = ([id, right]: [string, Right]) => (right === 'keep' ? [id] : []);
  const today = new Set([...(await rightsFor(now, member, { evenDeleted: true }))].flatMap(kept));
  const then = new Set([...(await rightsFor(past, member))].flatMap(kept));
  const there = new Map(
    (await now.select({ id: collections.id, deletion: collections.deletion }).from(collections)).map(
      (row) => [row.id, row.deletion],
    ),
  );
  const rows = await past.select().from(collections).where(isNull(collections.deletion));
  return [...treeBranches(rows)].flatMap(({ node: { id, name, parent } }): Comparable[] => {
    const deletion = there.get(id);
    const state = deletion === undefined ? 'gone' : deletion === null ? 'here' : 'deleted';
    const isTheirs = state === 'gone' ? then.has(id) : today.has(id);
    return isTheirs ? [{ id, name, parent, state }] : [];
  });
}

/** What is other today in each collection. */
async function comparedCollections(
  now: Queries,
  past: Queries,
  member: string,
): Promise<Compared['collections']> {
  const places = await comparable(now, past, member);
  const today = await briefOf(now);
  const then = await briefOf(past);
  const todayById = new Map(today.map((one) => [one.id, one]));
  const thenIds = new Set(then.map(({ id }) => id));
  return places.flatMap(({ id, name, state }) => {
    const before = then.filter(({ collection }) => collection === id);
    const gone = before.filter((one) => !todayById.has(one.id));
    const changed = before.filter((one) => {
      const here = todayById.get(one.id);
      // One that was moved on is what it is where it is now.
      return here?.collection === id && here.print !== one.print;
    });
    const since = today.filter((one) => one.collection === id && !thenIds.has(one.id));
    if (state === 'here' && gone.length + changed.length + since.length === 0) return [];
    const titles = (all: Brief[]) => told(all.map(({ title }) => title));
    return [{ id, name, state, gone: titles(gone), changed: titles(changed), since: titles(since) }];
  });
}

/** The member's own texts of a case, and its files, as they are told from others. */
async function ofCases(db: Queries, member: string, ids: readonly string[]) {
  const own = await db
    .select({
      id: drafts.id,
      case: drafts.case,
      title: sql<string>`case when ${drafts.title} = '' then ${drafts.excerpt} else ${drafts.title} end`,
      print: sql<string>`md5(${drafts.document}::text)`,
    })
    .from(drafts)
    .where(and(eq(drafts.author, member), isNull(drafts.deletion), inArray(drafts.case, [...ids, ''])));
  const files = await db
    .select({ id: caseFiles.id, case: caseFiles.case, name: caseFiles.name })
    .from(caseFiles)
    .where(and(isNull(caseFiles.deletion), inArray(caseFiles.case, [...ids, ''])));
  return { own, files };
}

/** What is other today in the cases given to a member, of what is theirs. */
async function comparedCases(now: Queries, past: Queries, member: string): Promise<Compared['cases']> {
  const given = await now
    .select({ id: cases.id, title: cases.title })
    .from(cases)
    .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member)))
    .orderBy(cases.title, cases.id);
  const ids = given.map(({ id }) => id);
  const today = await ofCases(now, member, ids);
  const then = await ofCases(past, member, ids);
  const prints = new Map(today.own.map(({ id, print }) => [id, print]));
  const fileIds = new Set(today.files.map(({ id }) => id));
  return given.flatMap(({ id, title }) => {
    const own = then.own.filter((one) => one.case === id);
    const gone = own.filter((one) => !prints.has(one.id));
    const changed = own.filter((one) => prints.has(one.id) && prints.get(one.id) !== one.print);
    const files = then.files.filter((one) => one.case === id && !fileIds.has(one.id));
    if (gone.length + changed.length + files.length === 0) return [];
    return [
      {
        ...{ id, title },
        gone: told(gone.map((one) => one.title)),
        changed: told(changed.map((one) => one.title)),
        files: told(files.map(({ name }) => name)),
      },
    ];
  });
}

type Person = NonNullable<Compared['people']>[number];

async function comparedPeople(now: Queries, past: Queries): Promise<Person[]> {
  const before = new Map((await past.select().from(members)).map((one) => [one.id, one]));
  const today = await now.select().from(members).orderBy(members.name);
  return today.flatMap(({ id, name, email, job, role, leftAt }): Person[] => {
    const then = before.get(id);
    if (!then) return [{ name, what: 'new' }];
    if (leftAt !== null && then.leftAt === null) return [{ name, what: 'left' }];
    const isSame =
      then.name === name &&
      then.email === email &&
      then.job === job &&
      then.role === role &&
      (then.leftAt === null) === (leftAt === null);
    return isSame ? [] : [{ name, what: 'changed' }];
  });
}

/** How what a member keeps and was given is other today than in a backup. */
export async function compare(now: Queries, { db: past }: Past, member: Member): Promise<Compared> {
  return {
    collections: await comparedCollections(now, past, member.id),
    cases: await comparedCases(now, past, member.id),
    people: member.role === 'owner' ? await comparedPeople(now, past) : null,
  };
}
