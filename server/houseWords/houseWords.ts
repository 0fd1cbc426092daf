import { randomUUID } from 'node:crypto';
import { eq, inArray } from 'drizzle-orm';
import type { HouseWordGiven, SaidOtherwise } from '#contracts';
import { inOrder } from '#core/language';
import { HouseFinder } from '#core/terms';
import { wayUp, findInEntries, sharedRights } from '../bank';
import type { Context } from '../context';
import { type Queries, grants, houseWords, members } from '../db';
import { notFound, Refusal } from '../http';
import { writeTrail } from '../trail';

type HouseWord = HouseWordGiven & { id: string };

/** So many entries are told, with all their places: as many as one change of many may change. */
const TOLD = 500;

/** Whether a collection, or one around it, is shared with anyone but a member. */
async function isForOthers(db: Queries, member: string, collection: string): Promise<boolean> {
  const way = (await wayUp(db, collection)).map(({ id }) => id);
  const rows = await db.select().from(grants).where(inArray(grants.collection, way));
  return rows.some((grant) => grant.right !== 'none' && grant.member !== member);
}

/** Whether a member may say what the house says: owners may, and whoever keeps something that others use. */
async function mayRule(db: Queries, member: string): Promise<boolean> {
  const [row] = await db.select({ role: members.role }).from(members).where(eq(members.id, member));
  if (row?.role === 'owner') return true;
  const kept = [...(await sharedRights(db, member))].flatMap(([id, right]) => (right === 'keep' ? [id] : []));
  for (const id of kept) if (await isForOthers(db, member, id)) return true;
  return false;
}

async function mustRule(db: Queries, member: string): Promise<void> {
  if (!(await mayRule(db, member)))
    throw new Refusal('not-allowed', 'Owners, and those who keep a shared collection, set the house style.');
}

const toWord = ({ id, language, use, avoid, why, together }: typeof houseWords.$inferSelect): HouseWord => ({
  id,
  language,
  use,
  avoid,
  why,
  together,
});

/** All words of the house, by what is said. */
export async function wordsOfHouse(db: Queries): Promise<HouseWord[]> {
  const rows = await db.select().from(houseWords);
  return rows.map(toWord).sort((a, b) => inOrder(a.use || a.avoid[0]!, b.use || b.avoid[0]!));
}

/** The words of the house, and whether the member may change them. */
export const houseWordsFor = async (db: Queries, member: string) => ({
  words: await wordsOfHouse(db),
  mayChange: await mayRule(db, member),
});

const inWords = ({ use, avoid }: HouseWordGiven) =>
  use === '' ? `not ${avoid.join(', ')}` : `${use}, not ${avoid.join(', ')}`;

const isOneLanguage = (a: string, b: string) => a === '' || b === '' || a.split('-')[0] === b.split('-')[0];

/** Refuses what another word of the house says the other way round: nothing could then be written right. */
async function mustAgree(tx: Queries, given: HouseWordGiven, id: string | undefined): Promise<void> {
  const avoids = (one: HouseWordGiven, word: string) =>
    word !== '' && one.avoid.some((avoided) => avoided.toLowerCase() === word.toLowerCase());
  const other = (await wordsOfHouse(tx)).find(
    (one) =>
      one.id !== id &&
      isOneLanguage(one.language, given.language) &&
      (avoids(one, given.use) || avoids(given, one.use)),
  );
  if (other)
    throw new Refusal(
      'not-valid',
      `House style has this already: ${inWords(other)}. Nothing was changed; change or remove that first.`,
    );
}

/** Makes a word of the house, or (with an id) changes it. Throws a Refusal where the member may not, or there is none. */
export async function keepHouseWord(
  { db, now }: Context,
  member: string,
  given: HouseWordGiven,
  id?: string,
): Promise<HouseWord> {
  const small = given.use.toLowerCase();
  if (given.avoid.some((avoided) => avoided.toLowerCase() === small))
    throw new Refusal('not-valid', `“${given.use}” cannot be said and avoided at once. Nothing was changed.`);
  return db.transaction(async (tx) => {
    await mustRule(tx, member);
    await mustAgree(tx, given, id);
    const row = { ...given, by: member, at: now() };
    const [kept] =
      id === undefined
        ? await tx
            .insert(houseWords)
            .values({ ...row, id: randomUUID() })
            .returning()
        : await tx.update(houseWords).set(row).where(eq(houseWords.id, id)).returning();
    if (!kept) throw notFound();
    await writeTrail(tx, now(), {
      by: member,
      act: 'settings-changed',
      subject: 'House style',
      detail: inWords(given),
    });
    return toWord(kept);
  });
}

/** Drops a word of the house. Throws as `keepHouseWord` does. */
export async function dropHouseWord({ db, now }: Context, member: string, id: string): Promise<void> {
  await db.transaction(async (tx) => {
    await mustRule(tx, member);
    const [gone] = await tx.delete(houseWords).where(eq(houseWords.id, id)).returning();
    if (!gone) throw notFound();
    await writeTrail(tx, now(), {
      by: member,
      act: 'settings-changed',
      subject: 'House style',
      detail: `no longer: ${inWords(gone)}`,
    });
  });
}

/**
 * What in the shared entries in use that a member sees is said otherwise than the house does. Yields how far it is, from 0
 * to 1.
 */
export async function* saidOtherwise({ db }: Context, member: string): AsyncGenerator<number, SaidOtherwise> {
  const finder = new HouseFinder(await wordsOfHouse(db));
  const counts: SaidOtherwise['counts'] = {};
  const shared = [...(await sharedRights(db, member)).keys()];
  const { entries, things, ...found } = yield* findInEntries(db, shared, TOLD, ({ content }) => {
    const places = content.retired ? [] : finder.in(content);
    for (const { word } of places) counts[word] = (counts[word] ?? 0) + 1;
    return places;
  });
  return {
    ...found,
    counts,
    places: things,
    entries: entries.map(({ entry, things: places }) => ({ entry, places })),
  };
}
