import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Ageing, Review, ReviewGiven } from '#contracts';
import { factFinder } from '#core/ageing';
import { heldByKeeper, rightsAmong, rightsFor, findInEntries, sharedRights } from '../bank';
import type { Context } from '../context';
import { type Queries, entries, members, reviews } from '../db';
import { Refusal } from '../http';

/** So many entries are told: as many as are given a day at once. */
const TOLD = 200;

/** Reviews of the entries that a member sees, those due first. */
export async function reviewsFor(db: Queries, member: string): Promise<Review[]> {
  const rights = await rightsFor(db, member);
  const rows = await db
    .select({
      entry: entries.id,
      title: sql<string>`${entries.content} ->> 'title'`,
      collection: entries.collection,
      due: reviews.due,
      keeper: reviews.keeper,
      lookedAt: reviews.lookedAt,
    })
    .from(reviews)
    .innerJoin(entries, and(eq(entries.id, reviews.entry), isNull(entries.deletion)))
    .orderBy(asc(reviews.due), asc(entries.id));
  return rows
    .filter(({ collection }) => rights.has(collection))
    .map((row) => ({ ...row, lookedAt: row.lookedAt?.toISOString() ?? null }));
}

/** Gives entries a day of review, or takes it away; throws a Refusal where the member does not keep all of them, or the keeper may not. */
export async function giveReview(
  { db, now }: Context,
  member: string,
  { entries: ids, review }: ReviewGiven,
): Promise<void> {
  await db.transaction(async (tx) => {
    const rows = await heldByKeeper(tx, member, ids);
    if (review === null) {
      await tx.delete(reviews).where(
        inArray(
          reviews.entry,
          rows.map(({ id }) => id),
        ),
      );
      return;
    }
    for (const collection of new Set(rows.map((row) => row.collection)))
      if ((await rightsAmong(tx, [review.keeper], collection)).get(review.keeper) !== 'keep')
        throw new Refusal('not-valid', 'The reviewer must be one of its keepers. No date was set.');
    const { due, keeper, looked } = review;
    const looking = looked ? { lookedAt: now() } : {};
    await tx
      .insert(reviews)
      .values(rows.map(({ id }) => ({ entry: id, due, keeper, ...looking })))
      .onConflictDoUpdate({ target: reviews.entry, set: { due, keeper, ...looking } });
  });
}

/**
 * The shared entries in use that a member sees, that hold facts which grow old and have no day of review; those with a link of a
 * wrong form are told in any case. Yields how far it is, from 0 to 1.
 */
export async function* ageing({ db }: Context, member: string): AsyncGenerator<number, Ageing> {
  const people = await db.select({ name: members.name }).from(members);
  const find = factFinder(people.flatMap(({ name }) => [name, name.split(' ')[0]!]));
  const withDay = new Set((await reviewsFor(db, member)).map(({ entry }) => entry));
  const shared = [...(await sharedRights(db, member)).keys()];
  let dated = 0;
  const {
    entries: found,
    count,
    read,
  } = yield* findInEntries(db, shared, TOLD, ({ id, content }) => {
    const facts = content.retired ? [] : find(content);
    if (facts.length === 0 || !withDay.has(id)) return facts;
    dated += 1;
    return facts.some(({ fault }) => fault !== null) ? facts : [];
  });
  return { entries: found.map(({ entry, things: facts }) => ({ entry, facts })), count, dated, read };
}
